/** A labelled choice on one line. */
export function Choice({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string
  readonly value: string
  readonly options: readonly (readonly [value: string, words: string])[]
  readonly onChange: (value: string) => void
}) {
  return (
    <label className="flex min-h-11 min-w-0 flex-1 items-center gap-2 text-small">
      <span className="shrink-0">{label}</span>
      <select
        className="min-h-11 min-w-0 flex-1 border border-ash bg-paper px-2"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        {options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
      </select>
    </label>
  )
}
