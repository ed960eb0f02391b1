/** Families, the dial, fits and swaps: asked of the server for a formula as it is drawn up. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

import { api, Problem, take } from '../../api/client'
import type {
  Demand,
  Drips,
  Families,
  Fitted,
  Formula,
  FormulaEntry,
  Job,
  OtherChocolate,
  Proposal,
  Swapped,
  Turned,
} from '../../api/types'
import { withGrams } from '../lines'

/** Every family and job; the same for every kitchen, asked once. */
export function useFamilies() {
  const query = useQuery({
    shallow: true,
    queryKey: ['families'],
    queryFn: () => take<Families>(api.GET('/api/formulas/families')),
    staleTime: Infinity,
  })
  const families = computed(() => query.data.value?.families ?? [])
  const jobs = computed(() => families.value.flatMap((one) => one.jobs))
  return {
    families,
    jobs,
    figures: computed(() => query.data.value?.figures ?? []),
    jobOf: (key: string | undefined): Job | undefined =>
      key ? jobs.value.find((one) => one.key === key) : undefined,
    familyOf: (key: string | undefined) =>
      key ? families.value.find((one) => one.jobs.some((job) => job.key === key)) : undefined,
  }
}

const bodyOf = (entry: FormulaEntry) => ({ does: '', ...entry })
const at = (id: string) => ({ params: { path: { row_id: id } } })

export interface Wish {
  job: string
  picks: Record<string, string>
  without: string[]
  finished_g: number
  holds_at_c: number | null
  way: string
}

/** A proposed formula for a job; it follows every choice. */
export function useProposal(wish: () => Wish | null) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'proposal', wish],
    queryFn: () => take<Proposal>(api.POST('/api/formulas/propose', { body: wish() as Wish })),
    enabled: () => Boolean(wish()),
    placeholderData: (before) => before,
    retry: false,
  })
}

export function askFit(id: string, entry: FormulaEntry, demands: Demand[]): Promise<Fitted> {
  const body = { entry: bodyOf(entry), demands }
  return take(api.POST('/api/formulas/{row_id}/fit', { ...at(id), body }))
}

/** One ingredient for another, side by side. */
export function useSwap(
  id: () => string,
  entry: () => FormulaEntry,
  pair: () => { old: string; new: string } | null,
) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'swap', id, entry, pair],
    queryFn: () => {
      const body = { entry: bodyOf(entry()), ...(pair() as { old: string; new: string }) }
      return take<Swapped>(api.POST('/api/formulas/{row_id}/swap', { ...at(id()), body }))
    },
    enabled: () => Boolean(pair()),
    retry: false,
  })
}

/** The same job with the other chocolates of the kitchen. */
export function useOthers(id: () => string, entry: () => FormulaEntry, wanted: () => boolean) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'others', id, entry],
    queryFn: () =>
      take<OtherChocolate[]>(
        api.POST('/api/formulas/{row_id}/others', { ...at(id()), body: bodyOf(entry()) }),
      ),
    enabled: wanted,
    placeholderData: (before) => before,
    retry: false,
  })
}

/** Drips of a saved formula down a round cake. */
export function useDrips(id: () => string, asked: () => Record<string, number>) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'drips', id, asked],
    queryFn: () => {
      const { diameter_mm = 0, length_mm = 0, spacing_mm = 0 } = asked()
      const params = { path: { row_id: id() }, query: { diameter_mm, length_mm, spacing_mm } }
      return take<Drips>(api.GET('/api/formulas/{row_id}/drips', { params }))
    },
    placeholderData: (before) => before,
    retry: false,
  })
}

interface Turnable {
  draft: { value: FormulaEntry | null }
  row: { value: Formula | undefined }
  preview: (changed: Partial<FormulaEntry>) => void
}
type Edit = (changed: Partial<FormulaEntry>, before?: FormulaEntry | null) => Promise<void>

/** The dial under the hand: always turned from where the drag began, the last wish wins. */
export function useTurn(id: () => string, formula: Turnable, edit: Edit) {
  const client = useQueryClient()
  const refusal = ref('')
  let before: FormulaEntry | null = null
  let wanted: number | null = null
  let under: Promise<void> | null = null

  async function follow(from: FormulaEntry) {
    while (wanted !== null) {
      const body = { entry: bodyOf(from), value: wanted }
      wanted = null
      try {
        const turned = await take<Turned>(
          api.POST('/api/formulas/{row_id}/turn', { ...at(id()), body }),
        )
        if (before !== from) return
        refusal.value = ''
        show(from, turned)
      } catch (error) {
        if (!(error instanceof Problem)) throw error
        refusal.value = error.detail
      }
    }
  }

  function show(from: FormulaEntry, turned: Turned) {
    const grams = turned.lines.map((one) => [one.key, one.mass_g] as const)
    const lines = withGrams(from.lines ?? [], grams)
    const then = { ...from, lines, losses: turned.losses }
    client.setQueryData(['worked out', 'reading', id(), then], turned.reading)
    formula.preview({ lines, losses: turned.losses })
  }

  /** Turn to a value; nothing is saved until `settle`. */
  function turn(value: number) {
    before ??= formula.draft.value
    wanted = value
    if (before && !under) {
      under = follow(before).finally(() => (under = null))
    }
  }

  /** Keep what the dial was turned to, as one step to undo. */
  async function settle() {
    while (under) await under
    const from = before
    const now = formula.draft.value
    before = null
    if (!from || !now) return
    const { lines, losses } = now
    await edit({ lines: lines ?? [], losses: losses as NonNullable<typeof losses> }, from)
  }

  return { turn, settle, refusal }
}
