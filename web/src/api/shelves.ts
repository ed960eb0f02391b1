/** Lists of rows and single rows, the same way for every room. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'

import { api, take } from './client'
import type {
  Change,
  Dessert,
  DessertBrief,
  DessertEntry,
  Formula,
  FormulaBrief,
  FormulaEntry,
  Ingredient,
  IngredientBrief,
  IngredientEntry,
  Mold,
  MoldEntry,
  Stack,
  StackEntry,
} from './types'

export interface Kinds {
  desserts: { brief: DessertBrief; full: Dessert; entry: DessertEntry }
  formulas: { brief: FormulaBrief; full: Formula; entry: FormulaEntry }
  ingredients: { brief: IngredientBrief; full: Ingredient; entry: IngredientEntry }
  molds: { brief: Mold; full: Mold; entry: MoldEntry }
  stacks: { brief: Stack; full: Stack; entry: StackEntry }
}
export type Kind = keyof Kinds
/** What a new row is made of; what is left out is the server's to fill in. */
export type New<K extends Kind> = Partial<Kinds[K]['entry']> & { name: string }

type Send = (path: string, init?: object) => ReturnType<typeof api.GET>

/** One typed set of requests a kind; the paths differ only in the kind's name. */
function requests<K extends Kind>(kind: K) {
  type Brief = Kinds[K]['brief']
  type Full = Kinds[K]['full']
  type Entry = Kinds[K]['entry']
  // openapi-fetch cannot type a path that is put together; the shapes are the kind's own.
  const { GET, POST, PUT } = api as unknown as Record<'GET' | 'POST' | 'PUT', Send>
  const one = (id: string) => ({ params: { path: { row_id: id } } })
  const row = `/api/${kind}/{row_id}`
  const as = <T>(answer: ReturnType<Send>) => take<T>(answer as Promise<{ response: Response }>)
  return {
    list: (archived: boolean) =>
      as<{ items: Brief[]; total: number }>(
        GET(`/api/${kind}`, { params: { query: { archived } } }),
      ),
    read: (id: string) => as<Full>(GET(row, one(id))),
    create: (entry: New<K>) => as<Full>(POST(`/api/${kind}`, { body: entry })),
    change: (id: string, revision: number, data: Entry) =>
      as<Full>(PUT(row, { ...one(id), body: { revision, data } })),
    createMany: (rows: New<K>[]) => as<Full[]>(POST(`/api/${kind}/many`, { body: { rows } })),
    copy: (id: string) => as<Full>(POST(`${row}/copy`, one(id))),
    archive: (id: string) => as<Full>(POST(`${row}/archive`, one(id))),
    restore: (id: string) => as<Full>(POST(`${row}/restore`, one(id))),
    history: (id: string) => as<Change[]>(GET(`${row}/history`, one(id))),
  }
}

export function useRows<K extends Kind>(kind: K, archived: MaybeRefOrGetter<boolean> = false) {
  const query = useQuery({
    shallow: true,
    queryKey: [kind, 'list', () => toValue(archived)],
    queryFn: () => requests(kind).list(toValue(archived)),
    placeholderData: keepPreviousData,
  })
  const rows = computed(() => query.data.value?.items ?? [])
  return { ...query, rows }
}

export function useRow<K extends Kind>(kind: K, id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    shallow: true,
    queryKey: [kind, 'one', () => toValue(id)],
    queryFn: () => requests(kind).read(toValue(id) ?? ''),
    enabled: () => Boolean(toValue(id)),
  })
}

export function useHistory(kind: Kind, id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    shallow: true,
    queryKey: [kind, 'history', () => toValue(id)],
    queryFn: () => requests(kind).history(toValue(id) ?? ''),
    enabled: () => Boolean(toValue(id)),
  })
}

/** Reads the rows of a kind anew, after they were changed by another way than the writes here. */
export function useReread() {
  const client = useQueryClient()
  return (kind: Kind) => client.invalidateQueries({ queryKey: [kind] })
}

/** What changes rows; afterwards everything that may depend on them is read anew. */
export function useWrites<K extends Kind>(kind: K) {
  const client = useQueryClient()
  const ask = requests(kind)
  type Full = Kinds[K]['full'] & { id: string }
  /** Off the shelf at once, so that nothing leads back to it while the lists are read anew. */
  const dropFromLists = (id: string) => {
    client.setQueriesData<{ items: { id: string }[]; total: number }>(
      { queryKey: [kind, 'list'] },
      (page) => page && { ...page, items: page.items.filter((one) => one.id !== id) },
    )
  }
  /** A list asked for before the write may come after it: what is under way does not count. */
  const readListAnew = async () => {
    await client.cancelQueries({ queryKey: [kind, 'list'] })
    await client.invalidateQueries({ queryKey: [kind, 'list'] })
  }
  const settle = (row: Full) => {
    client.setQueryData([kind, 'one', row.id], row)
    if (row.archived) dropFromLists(row.id)
    void readListAnew()
    void client.invalidateQueries({ queryKey: [kind, 'history', row.id] })
    void client.invalidateQueries({ queryKey: ['worked out'] })
  }
  const write = <Given>(mutationFn: (given: Given) => Promise<Full>) =>
    useMutation({ mutationFn, onSuccess: settle })
  return {
    /** Several at once, all or none; only ingredients have it. */
    createMany: useMutation({
      mutationFn: (rows: New<K>[]) => ask.createMany(rows),
      onSuccess: (rows: Full[]) => rows.forEach(settle),
    }),
    create: write((entry: New<K>) => ask.create(entry)),
    change: write(
      (given: { id: string; revision: number; data: Kinds[K]['entry'] }) =>
        ask.change(given.id, given.revision, given.data) as Promise<Full>,
    ),
    copy: write((id: string) => ask.copy(id)),
    archive: write((id: string) => ask.archive(id)),
    restore: write((id: string) => ask.restore(id)),
  }
}
