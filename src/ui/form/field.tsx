import { useId, type ComponentProps, type ReactNode } from 'react'

interface FieldProps {
  readonly label: string
  readonly name: string
  readonly error?: string | undefined
  readonly hint?: string
  readonly unit?: string
}

/** A labelled input with its unit, a hint and what is wrong with it. */
export function Field({
  label,
  name,
  error,
  hint,
  unit,
  ...input
}: FieldProps & Omit<ComponentProps<'input'>, 'name'>) {
  const id = useId()
  return (
    <FieldFrame id={id} label={label} error={error} hint={hint}>
      <span className="flex items-center gap-2">
        <input
          id={id}
          name={name}
          className="field"
          autoComplete="off"
          aria-invalid={error ? true : undefined}
          aria-describedby={`${id}-says`}
          {...input}
        />
        {unit && <span className="text-small text-dim">{unit}</span>}
      </span>
    </FieldFrame>
  )
}

export function TextArea({
  label,
  name,
  error,
  hint,
  ...area
}: FieldProps & Omit<ComponentProps<'textarea'>, 'name'>) {
  const id = useId()
  return (
    <FieldFrame id={id} label={label} error={error} hint={hint}>
      <textarea
        id={id}
        name={name}
        rows={3}
        className="field py-2"
        aria-invalid={error ? true : undefined}
        aria-describedby={`${id}-says`}
        {...area}
      />
    </FieldFrame>
  )
}

export function Select({
  label,
  name,
  error,
  hint,
  options,
  ...select
}: FieldProps &
  Omit<ComponentProps<'select'>, 'name'> & {
    readonly options: readonly (readonly [value: string, words: string])[]
  }) {
  const id = useId()
  return (
    <FieldFrame id={id} label={label} error={error} hint={hint}>
      <select id={id} name={name} className="field" aria-describedby={`${id}-says`} {...select}>
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </FieldFrame>
  )
}

function FieldFrame({
  id,
  label,
  error,
  hint,
  children,
}: {
  readonly id: string
  readonly label: string
  readonly error: string | undefined
  readonly hint: string | undefined
  readonly children: ReactNode
}) {
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-small font-medium">
        {label}
      </label>
      {children}
      <span id={`${id}-says`} className="text-fine text-dim">
        {error ? <strong className="font-semibold text-ink">{error}</strong> : hint}
      </span>
    </div>
  )
}

/** A message for the whole form. */
export function FormMessage({ children }: { readonly children: ReactNode }) {
  return (
    <p role="alert" className="min-h-5 text-small font-semibold">
      {children}
    </p>
  )
}
