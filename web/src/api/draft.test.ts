import { useQueryClient } from '@tanstack/vue-query'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'

import { json, mounted, settled } from '../testing/kitchen'
import { useDraft } from './draft'
import type { MoldEntry } from './types'

/** A server that keeps two molds and answers when it is told to. */
const rows = new Map<string, { revision: number; data: MoldEntry }>()
let waiting: (() => void)[] = []
let holding = false
const saves: { id: string; revision: number; name: string }[] = []

function rowOf(id: string) {
  const row = rows.get(id)
  if (!row) return undefined
  return { id, ...row.data, revision: row.revision, archived: false }
}

async function serve(request: Request): Promise<Response> {
  if (holding) await new Promise<void>((go) => waiting.push(go))
  const id = request.url.split('/').at(-1) ?? ''
  const row = rows.get(id)
  if (request.method === 'GET') return json(200, rowOf(id) ?? { items: [], total: 0 })
  const { revision, data } = (await request.json()) as { revision: number; data: MoldEntry }
  if (!row || row.revision !== revision) {
    return json(409, { detail: 'Bram changed it', errors: [], revision: row?.revision })
  }
  saves.push({ id, revision, name: data.name })
  rows.set(id, { revision: revision + 1, data })
  return json(200, rowOf(id))
}

async function shown(start = 'a') {
  const id = ref(start)
  let draft: ReturnType<typeof useDraft<'molds'>> | undefined
  let asksAnew = () => Promise.resolve()
  const screen = defineComponent(() => {
    const client = useQueryClient()
    asksAnew = () => client.invalidateQueries()
    draft = useDraft(
      'molds',
      () => id.value,
      ({ name, shape, note }) => ({ name, shape, cavities: 1, note }),
    )
    return () => h('div')
  })
  mounted(screen)
  await settled()
  return { id, draft: draft as NonNullable<typeof draft>, asksAnew }
}

function release() {
  holding = false
  waiting.forEach((go) => go())
  waiting = []
}

beforeEach(() => {
  vi.stubGlobal('fetch', serve)
  saves.length = 0
  for (const [id, name] of [
    ['a', 'Ring A'],
    ['b', 'Ring B'],
  ] as const) {
    const shape = { form: 'ring', diameter_mm: 180, height_mm: 45 } as const
    rows.set(id, { revision: 1, data: { name, shape, cavities: 1, note: '' } })
  }
})

afterEach(() => vi.unstubAllGlobals())

describe('useDraft', () => {
  it('is not put back by a row that was read before its own save', async () => {
    const { draft, asksAnew } = await shown()
    const old = rowOf('a')
    await draft.edit({ name: 'Saved' })
    await settled()
    rows.set('a', { revision: old?.revision ?? 1, data: { ...rows.get('a'), ...old } as never })
    await asksAnew()
    await settled()
    expect(draft.draft.value?.name).toBe('Saved')
  })

  it('shows an edit at once and saves it with the revision it was read at', async () => {
    const { draft } = await shown()
    const saved = draft.edit({ name: 'Ring C' })
    expect(draft.draft.value?.name).toBe('Ring C')
    await saved
    expect(saves).toEqual([{ id: 'a', revision: 1, name: 'Ring C' }])
  })

  it('sends what is changed while saving in one more save', async () => {
    const { draft } = await shown()
    holding = true
    const saved = draft.edit({ name: 'One' })
    void draft.edit({ name: 'Two' })
    void draft.edit({ name: 'Three' })
    await settled()
    release()
    await saved
    expect(saves.map((save) => save.name)).toEqual(['One', 'Three'])
    expect(saves.map((save) => save.revision)).toEqual([1, 2])
  })

  it('keeps what could not be saved, and saves it over theirs only when told to', async () => {
    const { draft } = await shown()
    const row = rows.get('a')
    if (row) rows.set('a', { revision: 5, data: { ...row.data, name: 'Theirs' } })
    await draft.edit({ name: 'Mine' })
    expect(draft.problem.value?.status).toBe(409)
    expect(draft.draft.value?.name).toBe('Mine')
    expect(saves).toEqual([])
    await draft.insist()
    expect(saves).toEqual([{ id: 'a', revision: 5, name: 'Mine' }])
  })

  it('shows theirs when told to', async () => {
    const { draft } = await shown()
    const row = rows.get('a')
    if (row) rows.set('a', { revision: 5, data: { ...row.data, name: 'Theirs' } })
    await draft.edit({ name: 'Mine' })
    await draft.reload()
    expect(draft.draft.value?.name).toBe('Theirs')
    expect(draft.problem.value).toBeNull()
  })

  it('never saves one row into another', async () => {
    const { id, draft } = await shown()
    holding = true
    const saved = draft.edit({ name: 'A, changed' })
    id.value = 'b'
    await settled()
    release()
    await saved
    await settled()
    expect(saves).toEqual([{ id: 'a', revision: 1, name: 'A, changed' }])
    expect(draft.draft.value?.name).toBe('Ring B')
  })

  it('takes what is drawn from under nobody’s hand, and shows theirs once it is saved', async () => {
    const { draft, asksAnew } = await shown()
    draft.preview({ note: 'half way' })
    rows.set('a', { revision: 2, data: { ...(rows.get('a')?.data as MoldEntry), name: 'Theirs' } })
    await asksAnew()
    await settled()
    expect(draft.draft.value).toMatchObject({ name: 'Ring A', note: 'half way' })
    await draft.edit({ note: 'done' })
    expect(draft.problem.value?.status).toBe(409)
    await draft.reload()
    expect(draft.draft.value?.name).toBe('Theirs')
  })

  it('shows what somebody else has saved where nothing is unsaved here', async () => {
    const { draft, asksAnew } = await shown()
    rows.set('a', { revision: 2, data: { ...(rows.get('a')?.data as MoldEntry), name: 'Theirs' } })
    await asksAnew()
    await settled()
    expect(draft.draft.value?.name).toBe('Theirs')
  })

  it('shows a preview without saving it', async () => {
    const { draft } = await shown()
    draft.preview({ name: 'Dragged' })
    await settled()
    expect(draft.draft.value?.name).toBe('Dragged')
    expect(saves).toEqual([])
  })
})
