/** Lists of rows and single rows, the same way for every room. */
import {
  type InfiniteData,
  keepPreviousData,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/vue-query'
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
  Hand,
  HandEntry,
  MoldBrief,
  MoldEntry,
  Order,
  OrderBrief,
  OrderEntry,
  Stack,
  StackEntry,
  Vessel,
  VesselEntry,
} from './types'

export interface Shelves {
  desserts: { brief: DessertBrief; full: Dessert; entry: DessertEntry }
  formulas: { brief: FormulaBrief; full: Formula; entry: FormulaEntry }
  ingredients: { brief: IngredientBrief; full: Ingredient; entry: IngredientEntry }
  molds: { brief: MoldBrief; full: Mold; entry: MoldEntry }
  stacks: { brief: Stack; full: Stack; entry: StackEntry }
  orders: { brief: OrderBrief; full: Order; entry: OrderEntry }
  vessels: { brief: Vessel; full: Vessel; entry: VesselEntry }
  hands: { brief: Hand; full: Hand; entry: HandEntry }
}
export type Shelf = keyof Shelves
/** Which rows of a shelf, and in which order; nothing asked is all on the shelf, by name. */
export interface Asked {
  archived?: boolean
  order?: 'name' | 'latest'
  q?: string
}
export interface Page<Row> {
  items: Row[]
  total: number
}
const PAGE = 100
/** What a new row is made of; what is left out is the server's to fill in. */
export type New<S extends Shelf> = Partial<Shelves[S]['entry']> & { name: string }

/** One typed set of requests a shelf; the paths differ only in its name. */
export function requests<S extends Shelf>(shelf: S) {
  type Brief = Shelves[S]['brief']
  type Full = Shelves[S]['full']
  type Entry = Shelves[S]['entry']
  const { GET, POST, PUT } = anywhere
  const one = (id: string) => ({ params: { path: { row_id: id } } })
  const row = `/api/${shelf}/{row_id}`
  const as = <T>(answer: Promise<{ data?: unknown; response: Response }>) =>
    take(answer as Promise<{ data?: T; response: Response }>)
  return {
    list: (query: Asked & { limit?: number; offset?: number; ids?: readonly string[] }) =>
      as<Page<Brief>>(GET(`/api/${shelf}`, { params: { query: { ...query } } })),
    read: (id: string) => as<Full>(GET(row, one(id))),
    create: (entry: New<S>) => as<Full>(POST(`/api/${shelf}`, { body: entry })),
    change: (id: string, revision: number, data: Entry) =>
      as<Full>(PUT(row, { ...one(id), body: { revision, data } })),
    createMany: (rows: New<S>[]) => as<Full[]>(POST(`/api/${shelf}/many`, { body: { rows } })),
    copy: (id: string) => as<Full>(POST(`${row}/copy`, one(id))),
    archive: (id: string) => as<Full>(POST(`${row}/archive`, one(id))),
    restore: (id: string) => as<Full>(POST(`${row}/restore`, one(id))),
    history: (id: string, offset: number) =>
      as<Page<Change>>(
        GET(`${row}/history`, { params: { path: { row_id: id }, query: { offset } } }),
      ),
  }
}

/** Rows by their keys. */
export const rowsOf = <S extends Shelf>(shelf: S, ids: readonly string[]) =>
  requests(shelf).list({ ids })

/** What there is beyond the pages that were read. */
export const nextOffset = <Row>(_: Page<Row>, pages: Page<Row>[]) => {
  const read = pages.reduce((sum, one) => sum + one.items.length, 0)
  const last = pages.at(-1)
  return last?.items.length && read < last.total ? read : undefined
}

interface Paged<Row, Of extends Page<Row>> {
  data: { value: InfiniteData<Of> | undefined }
  fetchNextPage: () => unknown
}

/** What was read page by page: all rows so far, how many are left, and the way to read on. */
export function read<Row, Of extends Page<Row>>({ data, fetchNextPage }: Paged<Row, Of>) {
  const pages = computed(() => data.value?.pages ?? [])
  const rows = computed(() => pages.value.flatMap((one) => one.items))
  const left = computed(() => Math.max(0, (pages.value.at(-1)?.total ?? 0) - rows.value.length))
  return { pages, rows, left, more: () => void fetchNextPage() }
}

/** A shelf page by page; `more` reads the next page. */
export function useRows<S extends Shelf>(
  shelf: S,
  asked: MaybeRefOrGetter<Asked> = {},
  enabled: () => boolean = () => true,
) {
  const query = useInfiniteQuery({
    shallow: true,
    queryKey: [shelf, 'list', () => toValue(asked)],
    queryFn: ({ pageParam }) =>
      requests(shelf).list({ ...toValue(asked), limit: PAGE, offset: pageParam }),
    initialPageParam: 0,
    getNextPageParam: nextOffset,
    placeholderData: keepPreviousData,
    enabled,
  })
  return { ...query, ...read<Shelves[S]['brief'], Page<Shelves[S]['brief']>>(query) }
}

export function useRow<S extends Shelf>(shelf: S, id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    shallow: true,
    queryKey: [shelf, 'one', () => toValue(id)],
    queryFn: () => requests(shelf).read(toValue(id) ?? ''),
    enabled: () => Boolean(toValue(id)),
  })
}

/** What happened to a row, the newest first; `more` reads what was earlier. */
export function useHistory(shelf: Shelf, id: string) {
  const query = useInfiniteQuery({
    shallow: true,
    queryKey: [shelf, 'history', id],
    queryFn: ({ pageParam }) => requests(shelf).history(id, pageParam),
    initialPageParam: 0,
    getNextPageParam: nextOffset,
  })
  return read<Change, Page<Change>>(query)
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

/** Who else wants to hear of a row that was written. */
const told: ((shelf: Shelf, row: Shelves[Shelf]['full']) => void)[] = []
export const whenWritten = (tell: (typeof told)[number]) => told.push(tell)

/** What changes rows; afterwards everything that may depend on them is read anew. */
export function useWrites<S extends Shelf>(shelf: S) {
  const client = useQueryClient()
  const ask = requests(shelf)
  type Full = Shelves[S]['full'] & { id: string }
  type Brief = Shelves[S]['brief'] & { id: string }
  type Lists = InfiniteData<Page<Brief>>
  /** The lists as they are read, page by page; not those of some keys, or of what lacks. */
  const lists = {
    queryKey: [shelf, 'list'],
    predicate: (one: { queryKey: readonly unknown[] }) => typeof one.queryKey[2] === 'object',
  }
  const inLists = (change: (items: Brief[]) => Brief[]) =>
    client.setQueriesData<Lists>(
      lists,
      (old) =>
        old && { ...old, pages: old.pages.map((one) => ({ ...one, items: change(one.items) })) },
    )
  /** Off the shelf at once, so that nothing leads back to it while the lists are read anew. */
  const dropFromLists = (id: string) => inLists((items) => items.filter((one) => one.id !== id))
  /** A list asked for before the write may come after it: what is under way does not count. */
  const readListAnew = async () => {
    await client.cancelQueries({ queryKey: [shelf, 'list'] })
    await client.invalidateQueries({ queryKey: [shelf, 'list'] })
  }
  /** A changed row stands in the lists at once; what else they say of it is asked for next time. */
  const patchLists = (row: Full) => {
    const pages = client.getQueriesData<Lists>(lists).flatMap(([, list]) => list?.pages ?? [])
    const old = pages.flatMap((page) => page.items.filter((one) => one.id === row.id))
    const moves = !old.length || old.some((one) => one.name !== row.name)
    if (moves || client.isFetching({ queryKey: [shelf, 'list'] })) return readListAnew()
    inLists((items) => items.map((one) => (one.id === row.id ? sharedFields(one, row) : one)))
    return client.invalidateQueries({ queryKey: [shelf, 'list'], refetchType: 'none' })
  }
  const settle = (row: Full, changed = false) => {
    client.setQueryData([shelf, 'one', row.id], row)
    told.forEach((tell) => tell(shelf, row))
    if (row.archived) dropFromLists(row.id)
    void (changed ? patchLists(row) : readListAnew())
    void client.invalidateQueries({ queryKey: [shelf, 'history', row.id] })
    void client.invalidateQueries({ queryKey: ['worked out'] })
    // Other rows name this one: a formula its ingredients, a dessert its mold.
    void client.invalidateQueries({
      predicate: ({ queryKey: [, what, id] }) => what === 'one' && id !== row.id,
    })
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
