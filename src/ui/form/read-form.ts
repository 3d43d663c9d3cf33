import type { z } from 'zod'

/** What is wrong, by field, each once. */
export function fieldsOf(error: z.ZodError): Record<string, string> {
  const fields: Record<string, string> = {}
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
  return fields
}

/** The values of a form, or what is wrong in it by field; `lists` are the names that may come several times. */
export function readForm<S extends z.ZodType>(
  schema: S,
  form: FormData,
  lists: readonly string[] = [],
):
  | { readonly ok: true; readonly data: z.infer<S> }
  | { readonly ok: false; readonly fields: Readonly<Record<string, string>> } {
  const entries = {
    ...Object.fromEntries(form),
    ...Object.fromEntries(lists.map((name) => [name, form.getAll(name)])),
  }
  const read = schema.safeParse(entries)
  return read.success ? { ok: true, data: read.data } : { ok: false, fields: fieldsOf(read.error) }
}
