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

type Option = readonly [value: string, words: string]

const Options = ({ of }: { readonly of: readonly Option[] }) =>
  of.map(([value, words]) => (
    <option key={value} value={value}>
      {words}
    </option>
  ))

export function Select({
  label,
  name,
  error,
  hint,
  options,
  groups = [],
  ...select
}: FieldProps &
  Omit<ComponentProps<'select'>, 'name'> & {
    readonly options: readonly Option[]
    /** Further options under a heading. */
    readonly groups?: readonly (readonly [heading: string, options: readonly Option[]])[]
  }) {
  const id = useId()
  return (
    <FieldFrame id={id} label={label} error={error} hint={hint}>
      <select
        id={id}
        name={name}
        className="field"
        aria-invalid={error ? true : undefined}
        aria-describedby={`${id}-says`}
        {...select}
      >
        <Options of={options} />
        {groups.map(([heading, each]) => (
          <optgroup key={heading} label={heading}>
            <Options of={each} />
          </optgroup>
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
