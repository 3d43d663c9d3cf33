import type { z } from 'zod'

/** The database or a transaction on it; every query module takes either. */
export interface Db {
  /** Whether all queries go through one session: then what one declares the next has, and none may keep the others waiting. */
  readonly isOneSession: boolean
  query(sql: string, parameters?: readonly unknown[]): Promise<readonly unknown[]>
  /** Runs several statements without parameters. */
  exec(sql: string): Promise<void>
  /** All or nothing. Not nestable: inside, pass the transaction on. */
  transaction<T>(work: (tx: Db) => Promise<T>): Promise<T>
}

/** A row did not have the shape its query promised; names the column. */
export class RowShapeError extends Error {
  override name = 'RowShapeError'
}

export async function many<S extends z.ZodType>(
  db: Db,
  row: S,
  sql: string,
  parameters?: readonly unknown[],
): Promise<z.infer<S>[]> {
  const rows = await db.query(sql, parameters)
  return rows.map((raw) => parseRow(row, raw))
}

export async function maybeOne<S extends z.ZodType>(
  db: Db,
  row: S,
  sql: string,
  parameters?: readonly unknown[],
): Promise<z.infer<S> | null> {
  const [first] = await db.query(sql, parameters)
  return first === undefined ? null : parseRow(row, first)
}

function parseRow<S extends z.ZodType>(row: S, raw: unknown): z.infer<S> {
  const parsed = row.safeParse(raw)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  throw new RowShapeError(`column ${issue?.path.join('.') ?? '?'}: ${issue?.message}`)
}

/** Whether a statement changed a row: the rows it returned. */
export const done = (rows: readonly unknown[]): boolean => rows.length > 0

/** SQLSTATE of a database error, or null for anything else. */
export function sqlState(error: unknown): string | null {
  // Not by instanceof: the driver's errors may come from another realm.
  const code = (error as { code?: unknown } | null)?.code
  return typeof code === 'string' ? code : null
}

// What a network, and what a server that goes down or is full, says of a connection.
const CONNECTION = /^(ECONN|ENOTFOUND|EPIPE|ETIMEDOUT|EAI_|ENOENT$|08|57P0|53300)/

/** Whether it was the way to the database server that failed, not what was asked of it. */
export const isConnection = (error: unknown): boolean =>
  CONNECTION.test(sqlState(error) ?? '') ||
  /^Connection terminated|timeout exceeded when trying to connect/.test(
    String((error as { message?: unknown } | null)?.message ?? ''),
  )

export const UNIQUE_VIOLATION = '23505'
export const FOREIGN_KEY_VIOLATION = '23503'
/** Ours, raised where a surface is ruled on and would be changed. */
export const RULED_ON = 'ELM01'
