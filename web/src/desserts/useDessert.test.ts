import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, type Ref, shallowRef } from 'vue'

import type { DessertEntry, WorkedOut } from '../api/types'
import { json, mounted, result, serveWith, settled, worked } from '../testing/kitchen'
import { useDessert, useWorkedOut } from './useDessert'
import { useUndo } from '../kit/useUndo'

const entry = (name: string, count = 1): DessertEntry => ({
  name,
  mold: 'm',
  built: 'upright',
  sizes: [],
  holds: [],
  parts: [],
  portions: { cut: 'wedges', count: 12 },
  count,
})
afterEach(() => {
  vi.unstubAllGlobals()
  document.body.innerHTML = ''
})

/** A composable on a screen of its own. */
function onScreen<T>(use: () => T): T {
  let used: T | undefined
  mounted(
    defineComponent(() => {
      used = use()
      return () => h('div')
    }),
  )
  return used as T
}

const LEFT = entry('left unsaved')

/** What a draft that is not saved takes. */
const ofDraft = (draft: Ref<DessertEntry | null>) =>
  useWorkedOut(
    () => undefined,
    () => draft.value,
    () => '',
    () => false,
  )

describe('useWorkedOut', () => {
  const asked: string[] = []
  let answer: ((name: string) => Response) | undefined
  let waiting: (() => void)[] = []

  beforeEach(() => {
    asked.length = 0
    waiting = []
    answer = (name) => json(200, worked([result('base', name, 10)]))
    serveWith(async (request) => {
      const { name } = (await request.json()) as DessertEntry
      asked.push(name)
      await new Promise<void>((go) => waiting.push(go))
      return answer?.(name) as Response
    })
  })
  const release = async () => {
    waiting.splice(0).forEach((go) => go())
    await settled()
  }
  const shownName = (of: { worked: { value: WorkedOut | undefined } }) =>
    of.worked.value?.solved.parts[0]?.name

  it('asks one question at a time, and the last draft wins', async () => {
    const draft = shallowRef<DessertEntry | null>(entry('one'))
    const use = onScreen(() => ofDraft(draft))
    await settled()
    for (const name of ['two', 'three', 'four']) {
      draft.value = entry(name)
      await nextTick()
    }
    expect(asked).toEqual(['one'])
    await release()
    expect(shownName(use)).toBe('one')
    expect(asked).toEqual(['one', 'four'])
    await release()
    expect(shownName(use)).toBe('four')
  })

  it('keeps showing what it knows when a draft is refused', async () => {
    const draft = shallowRef<DessertEntry | null>(entry('good'))
    const use = onScreen(() => ofDraft(draft))
    await settled()
    await release()
    answer = () => json(422, { detail: 'Height must be more than 0.', errors: [] })
    draft.value = entry('bad')
    await settled()
    await release()
    expect(shownName(use)).toBe('good')
    expect(use.error.value?.message).toContain('more than 0')
  })

  it('asks again by itself after silence', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    try {
      const draft = shallowRef<DessertEntry | null>(entry('lost'))
      answer = () => {
        throw new TypeError('no connection')
      }
      const use = onScreen(() => ofDraft(draft))
      const turn = async () => {
        for (let i = 0; i < 12; i += 1) {
          await vi.advanceTimersByTimeAsync(1)
          waiting.splice(0).forEach((go) => go())
        }
      }
      await turn()
      expect(use.error.value?.status).toBe(0)
      answer = (name) => json(200, worked([result('base', name, 10)]))
      await vi.advanceTimersByTimeAsync(3000)
      await turn()
      expect(shownName(use)).toBe('lost')
      expect(use.error.value).toBeNull()
    } finally {
      vi.useRealTimers()
    }
  })

  it('shows nothing of a dessert that was left', async () => {
    const draft = shallowRef<DessertEntry | null>(entry('left'))
    const use = onScreen(() => ofDraft(draft))
    await settled()
    draft.value = null
    await release()
    expect(use.worked.value).toBeUndefined()
  })
})

describe('what is saved', () => {
  it('is asked for together with its row, and again only where it was changed', async () => {
    const asked: string[] = []
    serveWith(async (request) => {
      asked.push(`${request.method} ${new URL(request.url).pathname}`)
      const { name } = request.method === 'POST' ? await request.json() : { name: 'saved' }
      return json(200, worked([result('base', name as string, 10)]))
    })
    const draft = shallowRef<DessertEntry | null>(null)
    const saved = shallowRef<DessertEntry | null>(null)
    const use = onScreen(() =>
      useWorkedOut(
        () => 'd',
        () => draft.value,
        () => '',
        () => draft.value === saved.value,
      ),
    )
    await settled()
    expect(asked).toEqual(['GET /api/desserts/d/solved'])
    draft.value = saved.value = entry('saved')
    await settled()
    expect(use.worked.value?.solved.parts[0]?.name).toBe('saved')
    expect(asked).toHaveLength(1)
    draft.value = entry('changed')
    await settled()
    expect(use.worked.value?.solved.parts[0]?.name).toBe('changed')
    // Saved by somebody else meanwhile: what was asked for ahead is old.
    draft.value = saved.value = entry('saved')
    await settled()
    expect(asked.slice(1)).toEqual(['POST /api/desserts/what-if', 'GET /api/desserts/d/solved'])
  })
})

it('shows what is saved where a draft of an earlier visit is refused', async () => {
  serveWith((request) =>
    request.method === 'POST'
      ? json(422, { detail: 'Height must be more than 0.', errors: [] })
      : json(200, worked([result('base', 'saved', 10)])),
  )
  const use = onScreen(() =>
    useWorkedOut(
      () => 'd',
      () => LEFT,
      () => '',
      () => false,
    ),
  )
  await settled()
  expect(use.worked.value?.solved.parts[0]?.name).toBe('saved')
  expect(use.error.value?.message).toContain('more than 0')
})

describe('useUndo', () => {
  let kept = entry('Reedbed')
  let revision = 1

  beforeEach(() => {
    sessionStorage.clear()
    kept = entry('Reedbed')
    revision = 1
    serveWith(async (request) => {
      if (request.method === 'PUT') {
        const sent = (await request.json()) as { revision: number; data: DessertEntry }
        kept = sent.data
        revision = sent.revision + 1
      }
      if (!request.url.endsWith('/1')) return json(200, { items: [], total: 0 })
      return json(200, { id: '1', ...kept, revision, archived: false, changed_at: '' })
    })
  })

  async function screen() {
    const used = onScreen(() => {
      const dessert = useDessert(() => '1')
      return { dessert, ...useUndo(() => '1', dessert) }
    })
    await settled()
    return used
  }
  const press = (key: string, more = {}) =>
    document.body.dispatchEvent(
      new KeyboardEvent('keydown', { key, ctrlKey: true, bubbles: true, ...more }),
    )

  it('walks back and forth, saving each step', async () => {
    const { dessert, edit, undo, redo, canUndo, canRedo } = await screen()
    await edit({ count: 6 })
    await edit({ name: 'Reeds' })
    undo()
    await settled()
    expect(kept).toMatchObject({ name: 'Reedbed', count: 6 })
    undo()
    await settled()
    expect(kept.count).toBe(1)
    expect([canUndo.value, canRedo.value]).toEqual([false, true])
    redo()
    await settled()
    expect(dessert.draft.value?.count).toBe(6)
  })

  it('does not count what changes nothing', async () => {
    const { edit, canUndo } = await screen()
    await edit({ count: 1 })
    expect(canUndo.value).toBe(false)
  })

  it('takes a drag back to where it began, in one step', async () => {
    const { dessert, edit, undo } = await screen()
    const before = dessert.draft.value
    for (const count of [2, 3, 4]) dessert.preview({ count })
    await edit({ count: 5 }, before)
    undo()
    await settled()
    expect(kept.count).toBe(1)
  })

  it('goes by Ctrl Z and Ctrl Shift Z', async () => {
    const { dessert, edit } = await screen()
    await edit({ count: 6 })
    press('z')
    await settled()
    expect(dessert.draft.value?.count).toBe(1)
    press('Z', { shiftKey: true })
    await settled()
    expect(dessert.draft.value?.count).toBe(6)
  })

  it('is kept over a reload, and dropped when somebody else saved meanwhile', async () => {
    const first = await screen()
    await first.edit({ count: 6 })
    const again = await screen()
    expect(again.canUndo.value).toBe(true)
    kept = entry('Changed by Bram', 6)
    const third = await screen()
    expect(third.canUndo.value).toBe(false)
  })
})
