/** One formula on the screen, and what the server reads in it. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import { useDraft } from '../api/draft'
import type {
  Formula,
  FormulaEntry,
  FormulaLine,
  PastedLine,
  Reading,
  ReadLine,
  SheetPage,
} from '../api/types'
import type { LineEntry } from './lines'

export function entryOf(row: Formula): FormulaEntry {
  const { name, kind, flavor, base_lines, losses, gas_kept, measured_density_g_ml, sets_min } = row
  const { method, whole_eggs, job } = row
  const lines = row.lines.map(lineEntryOf)
  const plain = { name, kind, flavor, lines, base_lines, losses, gas_kept, method, whole_eggs, job }
  return { ...plain, measured_density_g_ml, sets_min }
}

function lineEntryOf(line: FormulaLine): LineEntry {
  const { key, mass_g, overrun_percent, stage, strained_percent, soaked, note } = line
  const { ingredient, formula } = line
  const own = { key, mass_g, overrun_percent, stage, strained_percent, soaked, note }
  return { ...own, ingredient, formula }
}

export const useFormula = (id: () => string | undefined) => useDraft('formulas', id, entryOf)

/** What is read in a formula as it is drawn up; it does not wait for the save. */
export function useReading(id: () => string | undefined, entry: () => FormulaEntry | null) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'reading', id, entry],
    queryFn: () =>
      take<Reading>(
        api.POST('/api/formulas/{row_id}/what-if', {
          params: { path: { row_id: id() ?? '' } },
          body: { does: '', ...(entry() as FormulaEntry) },
        }),
      ),
    enabled: () => Boolean(id() && entry()),
    placeholderData: keepPreviousData,
    retry: false,
  })
}

export interface Wanted {
  value: number
  unit: 'g' | 'ml'
}

/** The formula's sheets for a finished mass or volume. */
export function useScaled(id: () => string | undefined, wanted: () => Wanted | null) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'scaled', id, wanted],
    queryFn: async () => {
      const { value, unit } = wanted() as Wanted
      const query = unit === 'g' ? { mass_g: value } : { volume_ml: value }
      const params = { path: { row_id: id() ?? '' }, query }
      // openapi-fetch widens pairs to lists.
      return (await take(api.GET('/api/formulas/{row_id}/scaled', { params }))) as SheetPage[]
    },
    enabled: () => Boolean(id() && wanted()),
  })
}

/** What a typed line means in this kitchen; while it is `begun`, all it may mean. */
export function readLine(text: string, within: string, begun = false): Promise<ReadLine> {
  return take(api.POST('/api/formulas/read-line', { body: { text, within, begun } }))
}

/** A pasted list, line by line as it is understood; nothing is written. */
export function readList(text: string, within: string): Promise<PastedLine[]> {
  return take(api.POST('/api/formulas/read-list', { body: { text, within } }))
}
