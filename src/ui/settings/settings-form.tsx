'use client'

import type { HouseRules } from '@/core/advice/house-rules'
import { HouseRuleFields } from '../brief/house-rule-fields'
import { FormMessage } from '../form/field'
import { useCommandForm } from '../form/use-command-form'
import { OwnWaysFields } from './own-ways-fields'
import { readSettings } from './read-settings'
import type { OwnWays } from './settings-context'

/** Settings of the store: name, units, and the schools a new visit begins with. */
export function SettingsForm({
  settings,
}: {
  readonly settings: Omit<OwnWays, 'locale'> & { readonly houseRules: HouseRules }
}) {
  const { onSubmit, pending, errors, message, kept } = useCommandForm('keep-settings', readSettings)
  return (
    <form onSubmit={onSubmit} noValidate className="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-3">
      <OwnWaysFields settings={settings} errors={errors} />
      <div className="sm:col-span-3">
        <HouseRuleFields rules={settings.houseRules} />
        <p className="mt-2 text-fine text-dim">
          A new visit begins with these; each visit keeps its own.
        </p>
      </div>
      <div className="flex items-center gap-4 sm:col-span-3">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          Save the settings
        </button>
        <FormMessage>{message ?? (kept && !pending ? 'Saved.' : '')}</FormMessage>
      </div>
    </form>
  )
}
