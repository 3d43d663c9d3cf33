import type { ComponentProps } from 'react'

/** A key that is a word, thumb-high. */
export function TextKey({ className = '', ...button }: ComponentProps<'button'>) {
  return (
    <button
      type="button"
      className={`min-h-11 text-small underline underline-offset-4 ${className}`}
      {...button}
    />
  )
}
