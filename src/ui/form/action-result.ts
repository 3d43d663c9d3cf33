/** The answer of a server action: kept, or what is wrong, by field or in one message. */
export type ActionResult =
  | { readonly ok: true; readonly goTo?: string | undefined }
  | { readonly ok: false; readonly fields?: Record<string, string>; readonly message?: string }

export type FormAction = (form: FormData) => Promise<ActionResult>
