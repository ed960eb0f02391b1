/** A dessert at other sizes: in every mold, cut from sheets, by templates. */
import { useQuery } from '@tanstack/vue-query'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'

import { api, Problem, take } from '../api/client'
import { know } from '../api/known'
import { useRow } from '../api/shelves'
import type {
  CutFor,
  CutPlan,
  Keep,
  ResizedInto,
  ResizedMolds,
  Shared,
  Sheeted,
  TemplateOffer,
} from '../api/types'
import { lookOf } from '../kit/flavors'
import { useKnown } from '../api/known'

const MOLDS_A_PAGE = 30

/** Name and looks of a dessert: how its formulas are drawn. */
export function useLooks(id: () => string) {
  const dessert = useRow('desserts', id)
  watch(
    () => dessert.data.value,
    (row) => row && know('formulas', row.made_of),
    { immediate: true },
  )
  const formulaOf = useKnown(
    'formulas',
    () => dessert.data.value?.made_of.map((one) => one.id) ?? [],
  )
  return {
    dessert: dessert.data,
    error: dessert.error,
    look: (of: string) => lookOf(formulaOf(of)),
  }
}

/** The kitchen's molds, a page after the other; the next one is asked for when it is wanted. */
export interface Have {
  of: string
  have_g: number
}

export function useWall(id: () => string, keep: () => Keep, have: () => Have | undefined) {
  const pages = ref(1)
  watch([id, keep], () => (pages.value = 1))
  const wall = useQuery({
    shallow: true,
    queryKey: ['worked out', 'resized', id, keep, pages, have],
    queryFn: async () => {
      const found = await Promise.all(
        Array.from({ length: pages.value }, (_, page) => {
          const query = {
            keep: keep(),
            offset: page * MOLDS_A_PAGE,
            limit: MOLDS_A_PAGE,
            ...have(),
          }
          const params = { path: { row_id: id() }, query }
          return take<ResizedMolds>(api.GET('/api/desserts/{row_id}/resized', { params }) as never)
        }),
      )
      return { molds: found.flatMap((one) => one.molds), of: found[0]?.of ?? 0 }
    },
    placeholderData: (before) => before,
  })
  return {
    molds: computed(() => wall.data.value?.molds ?? []),
    left: computed(() => (wall.data.value?.of ?? 0) - (wall.data.value?.molds.length ?? 0)),
    waiting: wall.isFetching,
    error: wall.error,
    more: () => (pages.value += 1),
  }
}

export function useInto(id: () => string, mold: () => string | undefined, keep: () => Keep) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'resized into', id, mold, keep],
    queryFn: () => {
      const params = { path: { row_id: id(), mold: mold() ?? '' }, query: { keep: keep() } }
      return take<ResizedInto>(
        api.GET('/api/desserts/{row_id}/resized/{mold}', { params }) as never,
      )
    },
    enabled: () => Boolean(mold()),
    placeholderData: (before) => before,
  })
}

export function useSheeted(id: () => string, count: () => number | undefined) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'sheeted', id, count],
    queryFn: () => {
      const params = { path: { row_id: id() }, query: { count: count() ?? null } }
      return take<Sheeted[]>(api.GET('/api/desserts/{row_id}/sheeted', { params }))
    },
  })
}

export interface CutAsked {
  formula: string
  thick_mm: number
  count?: number
  length_mm: number
  width_mm: number
  edge_mm: number
  kerf_mm: number
  trim: CutTrim
}
export type CutTrim = 'thrown' | 'crumb' | 'rolled'

/** A cut plan: the first answer at once, better ones as the search goes on; can be stopped. */
export function useCutPlan(id: () => string, asked: () => CutAsked | undefined) {
  const plan = shallowRef<CutPlan>()
  const problem = shallowRef<Problem>()
  const searching = ref(false)
  let run = 0

  async function search() {
    const mine = ++run
    const wanted = asked()
    if (!wanted) {
      plan.value = undefined
      return
    }
    searching.value = true
    try {
      for (let turns = 0; mine === run; turns = (plan.value?.turn ?? 0) + 1) {
        const params = { path: { row_id: id() }, query: { ...wanted, turns } }
        const found = await take<CutPlan>(
          api.GET('/api/desserts/{row_id}/cut-plan', { params }) as never,
        )
        if (mine !== run) return
        plan.value = found
        problem.value = undefined
        if (found.done) break
      }
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      if (mine === run) problem.value = error
    } finally {
      if (mine === run) searching.value = false
    }
  }
  watch([id, asked], search, { immediate: true })

  function stop() {
    run += 1
    searching.value = false
  }
  onScopeDispose(stop)
  return { plan, problem, searching, stop }
}

export function useTemplates(id: () => string, size: () => string) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'templates', id, size],
    queryFn: () => {
      const params = { path: { row_id: id() }, query: { size: size() } }
      return take<TemplateOffer[]>(api.GET('/api/desserts/{row_id}/templates', { params }) as never)
    },
  })
}

export interface Knife {
  knife_mm: number
  hand_mm: number
}

/** What each portion weighs as the dessert is divided. */
export function useShared(id: () => string, knife: () => Knife | undefined) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'portions', id, knife],
    queryFn: () => {
      const params = { path: { row_id: id() }, query: knife() ?? {} }
      return take<Shared>(api.GET('/api/desserts/{row_id}/portions', { params }) as never)
    },
    enabled: () => Boolean(knife()),
    placeholderData: (before) => before,
  })
}

/** How many desserts and which cuts serve so many guests. */
export function useCutFor(
  id: () => string,
  asked: () => (Knife & { covers: number; spread_g: number }) | undefined,
) {
  return useQuery({
    shallow: true,
    queryKey: ['worked out', 'cut for', id, asked],
    queryFn: () => {
      const params = { path: { row_id: id() }, query: asked() ?? {} }
      return take<CutFor[]>(api.GET('/api/desserts/{row_id}/portions/for', { params }) as never)
    },
    enabled: () => Boolean(asked()),
    placeholderData: (before) => before,
  })
}
