/** Undo and redo over everything on the dessert's screen, kept over a reload. */
import { computed, shallowRef, watch } from 'vue'

import type { DessertEntry } from '../api/types'
import { useEventListener } from '../kit/useEventListener'
import { noSteps, record, redo, sameData, type Steps, undo } from './steps'
import type { useDessert } from './useDessert'

const KEY = 'fernbell.steps.'

/** What is kept for a reload: the steps, and the entry they lead to. */
interface Kept {
  steps: Steps<DessertEntry>
  now: DessertEntry
}

function kept(id: string): Kept | undefined {
  try {
    return JSON.parse(sessionStorage.getItem(KEY + id) ?? '') as Kept
  } catch {
    return undefined
  }
}

export function useUndo(id: () => string | undefined, dessert: ReturnType<typeof useDessert>) {
  const steps = shallowRef(noSteps<DessertEntry>())
  let of: string | undefined

  // Steps belong to the entry they lead to: after somebody else's save they lead nowhere.
  watch(
    [id, dessert.draft],
    ([now, draft]) => {
      if (now === of || !now || !draft) return
      of = now
      const found = kept(now)
      steps.value = found && sameData(found.now, draft) ? found.steps : noSteps()
    },
    { immediate: true },
  )
  watch(dessert.foreign, () => (steps.value = noSteps()))

  function keep(next: Steps<DessertEntry>) {
    steps.value = next
    const now = dessert.draft.value
    if (of && now) sessionStorage.setItem(KEY + of, JSON.stringify({ steps: next, now }))
  }

  /** Change the dessert; `before` is the draft a drag began with. */
  async function edit(changed: Partial<DessertEntry>, before = dessert.draft.value) {
    if (!before || sameData({ ...before, ...changed }, before)) return
    const done = dessert.edit(changed)
    keep(record(steps.value, before))
    await done
  }

  function go(way: typeof undo | typeof redo) {
    const now = dessert.draft.value
    const step = now && way(steps.value, now)
    if (!step) return
    void dessert.edit(step.then)
    keep(step.steps)
  }

  useEventListener('keydown', (event) => {
    const key = event.key.toLowerCase()
    if (!(event.ctrlKey || event.metaKey) || (key !== 'z' && key !== 'y')) return
    // A field with something typed and not yet handed on undoes its own typing.
    if ((event.target as HTMLElement).closest('[data-typing="true"]')) return
    event.preventDefault()
    go(key === 'y' || event.shiftKey ? redo : undo)
  })

  return {
    edit,
    undo: () => go(undo),
    redo: () => go(redo),
    canUndo: computed(() => steps.value.past.length > 0),
    canRedo: computed(() => steps.value.future.length > 0),
  }
}
