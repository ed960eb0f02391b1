/** Lists of rows and single rows, the same way for every room. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'

import { anywhere, take } from './client'
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

export interface Shelves {
  desserts: { brief: DessertBrief; full: Dessert; entry: DessertEntry }
  formulas: { brief: FormulaBrief; full: Formula; entry: FormulaEntry }
  ingredients: { brief: IngredientBrief; full: Ingredient; entry: IngredientEntry }
  molds: { brief: Mold; full: Mold; entry: MoldEntry }
  stacks: { brief: Stack; full: Stack; entry: StackEntry }
}
export type Shelf = keyof Shelves
/** What a new row is made of; what is left out is the server's to fill in. */
export type New<S extends Shelf> = Partial<Shelves[S]['entry']> & { name: string }

/** One typed set of requests a shelf; the paths differ only in its name. */
function requests<S extends Shelf>(shelf: S) {
  type Brief = Shelves[S]['brief']
  type Full = Shelves[S]['full']
  type Entry = Shelves[S]['entry']
  const { GET, POST, PUT } = anywhere
  const one = (id: string) => ({ params: { path: { row_id: id } } })
  const row = `/api/${shelf}/{row_id}`
  const as = <T>(answer: Promise<{ data?: unknown; response: Response }>) =>
    take(answer as Promise<{ data?: T; response: Response }>)
  return {
    list: (archived: boolean) =>
      as<{ items: Brief[]; total: number }>(
        GET(`/api/${shelf}`, { params: { query: { archived } } }),
      ),
    read: (id: string) => as<Full>(GET(row, one(id))),
    create: (entry: New<S>) => as<Full>(POST(`/api/${shelf}`, { body: entry })),
    change: (id: string, revision: number, data: Entry) =>
      as<Full>(PUT(row, { ...one(id), body: { revision, data } })),
    createMany: (rows: New<S>[]) => as<Full[]>(POST(`/api/${shelf}/many`, { body: { rows } })),
    copy: (id: string) => as<Full>(POST(`${row}/copy`, one(id))),
    archive: (id: string) => as<Full>(POST(`${row}/archive`, one(id))),
    restore: (id: string) => as<Full>(POST(`${row}/restore`, one(id))),
    history: (id: string) => as<Change[]>(GET(`${row}/history`, one(id))),
  }
}

export function useRows<S extends Shelf>(shelf: S, archived: MaybeRefOrGetter<boolean> = false) {
  const query = useQuery({
    shallow: true,
    queryKey: [shelf, 'list', () => toValue(archived)],
    queryFn: () => requests(shelf).list(toValue(archived)),
    placeholderData: keepPreviousData,
  })
  const rows = computed(() => query.data.value?.items ?? [])
  return { ...query, rows }
}

export function useRow<S extends Shelf>(shelf: S, id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    shallow: true,
    queryKey: [shelf, 'one', () => toValue(id)],
    queryFn: () => requests(shelf).read(toValue(id) ?? ''),
    enabled: () => Boolean(toValue(id)),
  })
}

export function useHistory(shelf: Shelf, id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    shallow: true,
    queryKey: [shelf, 'history', () => toValue(id)],
    queryFn: () => requests(shelf).history(toValue(id) ?? ''),
    enabled: () => Boolean(toValue(id)),
  })
}

/** Reads the rows of a shelf anew, after they were changed by another way than the writes here. */
export function useReread() {
  const client = useQueryClient()
  return (shelf: Shelf) => client.invalidateQueries({ queryKey: [shelf] })
}

/** A row of a list with what a fuller one says of the same fields. */
function sharedFields<Brief extends object>(brief: Brief, full: object): Brief {
  const said = Object.entries(full).filter(([field]) => field in brief)
  return { ...brief, ...Object.fromEntries(said) }
}

/** What changes rows; afterwards everything that may depend on them is read anew. */
export function useWrites<S extends Shelf>(shelf: S) {
  const client = useQueryClient()
  const ask = requests(shelf)
  type Full = Shelves[S]['full'] & { id: string }
  /** Off the shelf at once, so that nothing leads back to it while the lists are read anew. */
  const dropFromLists = (id: string) => {
    client.setQueriesData<{ items: { id: string }[]; total: number }>(
      { queryKey: [shelf, 'list'] },
      (page) => page && { ...page, items: page.items.filter((one) => one.id !== id) },
    )
  }
  /** A list asked for before the write may come after it: what is under way does not count. */
  const readListAnew = async () => {
    await client.cancelQueries({ queryKey: [shelf, 'list'] })
    await client.invalidateQueries({ queryKey: [shelf, 'list'] })
  }
  type Page = { items: (Shelves[S]['brief'] & { id: string })[]; total: number }
  /** A changed row stands in the lists at once; what else they say of it is asked for next time. */
  const patchLists = (row: Full) => {
    const lists = client.getQueriesData<Page>({ queryKey: [shelf, 'list'] })
    const old = lists.flatMap(([, page]) => page?.items.filter((one) => one.id === row.id) ?? [])
    const moves = old.length !== 1 || old[0]?.name !== row.name
    if (moves || client.isFetching({ queryKey: [shelf, 'list'] })) return readListAnew()
    client.setQueriesData<Page>(
      { queryKey: [shelf, 'list'] },
      (page) =>
        page && {
          ...page,
          items: page.items.map((one) => (one.id === row.id ? sharedFields(one, row) : one)),
        },
    )
    return client.invalidateQueries({ queryKey: [shelf, 'list'], refetchType: 'none' })
  }
  const settle = (row: Full, changed = false) => {
    client.setQueryData([shelf, 'one', row.id], row)
    if (row.archived) dropFromLists(row.id)
    void (changed ? patchLists(row) : readListAnew())
    void client.invalidateQueries({ queryKey: [shelf, 'history', row.id] })
    void client.invalidateQueries({ queryKey: ['worked out'] })
  }
  const write = <Given>(mutationFn: (given: Given) => Promise<Full>, changed = false) =>
    useMutation({ mutationFn, onSuccess: (row: Full) => settle(row, changed) })
  return {
    /** Several at once, all or none; only ingredients have it. */
    createMany: useMutation({
      mutationFn: (rows: New<S>[]) => ask.createMany(rows),
      onSuccess: (rows: Full[]) => rows.forEach((row) => settle(row)),
    }),
    create: write((entry: New<S>) => ask.create(entry)),
    change: write(
      (given: { id: string; revision: number; data: Shelves[S]['entry'] }) =>
        ask.change(given.id, given.revision, given.data) as Promise<Full>,
      true,
    ),
    copy: write((id: string) => ask.copy(id)),
    archive: write((id: string) => ask.archive(id)),
    restore: write((id: string) => ask.restore(id)),
  }
}
