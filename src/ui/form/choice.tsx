/** A labelled choice on one line. */
export function Choice({
  label,
  value,
  options,
  onChange,
  narrow = false,
}: {
  readonly label: string
  readonly value: string
  readonly options: readonly (readonly [value: string, words: string])[]
  readonly onChange: (value: string) => void
  /** As wide as its words. */
  readonly narrow?: boolean
}) {
  return (
    <label
      className={`flex min-h-11 min-w-0 items-center gap-2 text-small ${narrow ? '' : 'flex-1'}`}
    >
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
