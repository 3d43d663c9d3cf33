import { z } from 'zod'
import type { Db } from '../../src/db/db'

interface PlanNode {
  readonly 'Node Type': string
  readonly 'Relation Name'?: string
  readonly Plans?: readonly PlanNode[]
}
const Plan = z.object({ 'QUERY PLAN': z.array(z.object({ Plan: z.custom<PlanNode>() })) })
const LARGE = 1000

/** The tables of more than a thousand rows that the plans of a page's statements read from end to end. */
export async function tablesReadWhole(
  db: Db,
  page: (over: Db) => Promise<unknown>,
): Promise<string[]> {
  const found = new Set<string>()
  const look = (node: PlanNode): void => {
    if (node['Node Type'] === 'Seq Scan' && node['Relation Name']) found.add(node['Relation Name'])
    node.Plans?.forEach(look)
  }
  await page({
    ...db,
    query: async (sql, parameters) => {
      const [row] = await db.query(`explain (format json) ${sql}`, parameters)
      look(Plan.parse(row)['QUERY PLAN'][0]!.Plan)
      return db.query(sql, parameters)
    },
  })
  const rows = await db.query(
    'select relname as name from pg_class where reltuples > $1 and relname = any($2::text[])',
    [LARGE, [...found]],
  )
  return rows.map((row) => (row as { name: string }).name)
}
