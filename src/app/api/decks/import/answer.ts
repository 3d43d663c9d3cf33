/** What a step of an import answers. */
export interface ImportAnswer {
  readonly ok: boolean
  /** What is wrong, by the field of the form. */
  readonly fields?: Readonly<Record<string, string>>
  readonly message?: string
}

export const refuse = (status: number, what: Omit<ImportAnswer, 'ok'>): Response =>
  Response.json({ ok: false, ...what } satisfies ImportAnswer, { status })
