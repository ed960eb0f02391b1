/** The sheets of a dessert, an order or a formula, as the server works them out. */
import { useQuery } from '@tanstack/vue-query'

import { api, take } from '../api/client'
import type { SheetPage, Sheets } from '../api/types'
import { type Paper, papersOf, papersOfFormula } from './papers'

export type SheetsOf = 'desserts' | 'orders' | 'formulas'
export interface Asked {
  count?: number | undefined
  mass_g?: number | undefined
  volume_ml?: number | undefined
}

// openapi-fetch widens pairs to lists.
const ASK: Record<SheetsOf, (row_id: string, asked: Asked) => Promise<Paper[]>> = {
  desserts: async (row_id, { count }) => {
    const params = { path: { row_id }, query: { count: count ?? null } }
    return papersOf((await take(api.GET('/api/desserts/{row_id}/sheets', { params }))) as Sheets)
  },
  orders: async (row_id) => {
    const params = { path: { row_id } }
    return papersOf((await take(api.GET('/api/orders/{row_id}/sheets', { params }))) as Sheets)
  },
  formulas: async (row_id, { mass_g, volume_ml }) => {
    const query = { mass_g: mass_g ?? null, volume_ml: volume_ml ?? null }
    const params = { path: { row_id }, query }
    const pages = await take(api.GET('/api/formulas/{row_id}/scaled', { params }))
    return papersOfFormula(pages as SheetPage[])
  },
}

export function useSheets(of: () => SheetsOf, id: () => string, asked: () => Asked) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'sheets', of, id, asked],
    queryFn: () => ASK[of()](id(), asked()),
  })
}
