import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

import { json, mounted, settled } from '../testing/kitchen'
import { AGAIN_MS } from './again'
import { useLeft } from './left'
import {
  dropAt,
  dropUnsaved,
  everyUnsaved,
  holdBack,
  keepUnsaved,
  ownedBy,
  takeLeft,
} from './unsaved'

const RING = { name: 'Ring A', note: '' }
let answer: () => Response
const sent: { url: string; body: unknown }[] = []

async function serve(request: Request): Promise<Response> {
  if (request.method !== 'PUT') return json(200, { items: [], total: 0 })
  sent.push({ url: new URL(request.url).pathname, body: await request.json() })
  return answer()
}

/** A page that is gone has left something: another page's place, in the same store. */
async function leftByAnother(id = 'a') {
  vi.resetModules()
  const gone = await import('./unsaved')
  gone.ownedBy('ada', 'quay')
  await gone.keepUnsaved('molds', id, { revision: 3, data: RING })
}

async function outbox() {
  let made: ReturnType<typeof useLeft> | undefined
  mounted(
    defineComponent(() => {
      made = useLeft()
      return () => h('div')
    }),
  )
  await settled()
  return made as NonNullable<typeof made>
}

beforeEach(() => {
  vi.stubGlobal('fetch', serve)
  sent.length = 0
  answer = () => json(200, { id: 'a', revision: 4, ...RING })
  ownedBy('ada', 'quay')
})

afterEach(async () => {
  for (const who of ['ada', 'bea']) {
    ownedBy(who, 'quay')
    for (const one of await everyUnsaved()) await dropAt(one.place)
  }
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('what is kept on this device', () => {
  it('is found by its owner alone, in the kitchen it is of', async () => {
    await keepUnsaved('molds', 'a', { revision: 1, data: RING })
    ownedBy('bea', 'quay')
    expect(await everyUnsaved()).toEqual([])
    ownedBy('ada', 'annex')
    expect(await everyUnsaved()).toEqual([])
    ownedBy('ada', 'quay')
    expect(await everyUnsaved()).toMatchObject([{ id: 'a', revision: 1, data: RING }])
    await dropUnsaved('molds', 'a')
    expect(await everyUnsaved()).toEqual([])
  })

  it('goes from a page that is gone to the one that opens the row', async () => {
    await leftByAnother()
    expect(await takeLeft('molds', 'b')).toBeUndefined()
    expect(await takeLeft('molds', 'a')).toMatchObject({ revision: 3, data: RING })
    expect(await everyUnsaved()).toHaveLength(1)
    await dropUnsaved('molds', 'a')
    expect(await everyUnsaved()).toEqual([])
  })

  it('keeps whoever leaves from leaving unknowing, until it is saved', async () => {
    const leave = () => {
      const event = new Event('beforeunload', { cancelable: true })
      window.dispatchEvent(event)
      return event.defaultPrevented
    }
    await keepUnsaved('molds', 'a', { revision: 1, data: RING })
    expect(leave()).toBe(false)
    holdBack('molds', 'a')
    expect(leave()).toBe(true)
    await dropUnsaved('molds', 'a')
    expect(leave()).toBe(false)
  })
})

describe('what earlier visits could not save', () => {
  it('is sent with its own revision, and let go', async () => {
    await leftByAnother()
    const { left, sendAll } = await outbox()
    await sendAll()
    expect(sent).toEqual([{ url: '/api/molds/a', body: { revision: 3, data: RING } }])
    expect(left.value).toEqual([])
    expect(await everyUnsaved()).toEqual([])
  })

  it('is told where somebody else changed it, and kept until one lets it go', async () => {
    await leftByAnother()
    answer = () => json(409, { detail: 'Bram changed Ring A', errors: [], revision: 5 })
    const { left, sendAll, letGo } = await outbox()
    await sendAll()
    expect(left.value).toMatchObject([{ name: 'Ring A', problem: { status: 409 } }])
    expect(await everyUnsaved()).toHaveLength(1)
    for (const one of left.value) await letGo(one)
    expect(left.value).toEqual([])
    expect(await everyUnsaved()).toEqual([])
  })

  it.each([0, 401, 500, 503])('waits and is sent again after %i', async (status) => {
    await leftByAnother()
    const saved = answer
    answer = () => {
      if (!status) throw new TypeError('nobody there')
      return json(status, { detail: 'away', errors: [] })
    }
    const { left, sendAll } = await outbox()
    vi.useFakeTimers({ toFake: ['setTimeout'] })
    await sendAll()
    expect(left.value).toEqual([])
    expect(await everyUnsaved()).toHaveLength(1)
    answer = saved
    await vi.advanceTimersByTimeAsync(AGAIN_MS)
    vi.useRealTimers()
    await vi.waitFor(async () => expect(await everyUnsaved()).toEqual([]))
    expect(sent).toHaveLength(2)
  })
})
