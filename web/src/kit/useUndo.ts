/** Undo and redo over everything on a row's screen, kept over a reload. */
import { computed, nextTick, type Ref, shallowRef, watch } from 'vue'

import { noSteps, record, redo, sameData, type Steps, undo } from './steps'
import { useEventListener } from './useEventListener'

const KEY = 'fernbell.steps.'

/** What is kept for a reload: the steps, and the entry they lead to. */
interface Kept<Entry> {
  steps: Steps<Entry>
  now: Entry
}

/** As much of a draft as undo needs; `useDraft` makes one. */
interface Undoable<Entry> {
  draft: Ref<Entry | null>
  foreign: Ref<number>
  edit: (changed: Partial<Entry>) => Promise<void>
}

function kept<Entry>(id: string): Kept<Entry> | undefined {
  try {
    return JSON.parse(sessionStorage.getItem(KEY + id) ?? '') as Kept<Entry>
  } catch {
    return undefined
  }
}

/** A field with something typed in it undoes its own typing; a number only until it is handed on. */
function undoesItsOwn(target: HTMLElement): boolean {
  const number = target.closest<HTMLElement>('[data-typing]')
  if (number) return number.dataset.typing === 'true'
  return Boolean(target.closest<HTMLInputElement>('input, textarea')?.value)
}

export function useUndo<Entry extends object>(id: () => string | undefined, row: Undoable<Entry>) {
  const steps = shallowRef(noSteps<Entry>())
  let of: string | undefined

  // Steps belong to the entry they lead to: after somebody else's save they lead nowhere.
  watch(
    [id, row.draft],
    ([now, draft]) => {
      if (now === of || !now || !draft) return
      of = now
      const found = kept<Entry>(now)
      steps.value = found && sameData(found.now, draft) ? found.steps : noSteps()
    },
    { immediate: true },
  )
  watch(row.foreign, () => (steps.value = noSteps()))

  function keep(next: Steps<Entry>) {
    steps.value = next
    const now = row.draft.value
    if (of && now) sessionStorage.setItem(KEY + of, JSON.stringify({ steps: next, now }))
  }

  /** Change the row; `before` is the draft a drag began with. */
  async function edit(changed: Partial<Entry>, before = row.draft.value) {
    if (!before || sameData({ ...before, ...changed }, before)) return
    const done = row.edit(changed)
    keep(record(steps.value, before))
    await done
  }

  /** A change that is saved by another way, as one step of its own. */
  async function through(change: () => Promise<void>) {
    const before = row.draft.value
    const past = steps.value
    await change()
    // Until the save that came from elsewhere has cleared the steps.
    await nextTick()
    if (before) keep(record(past, before))
  }

  function go(way: typeof undo | typeof redo) {
    const now = row.draft.value
    const step = now && way(steps.value, now)
    if (!step) return
    void row.edit(step.then)
    keep(step.steps)
  }

  useEventListener('keydown', (event) => {
    const key = event.key.toLowerCase()
    if (!(event.ctrlKey || event.metaKey) || (key !== 'z' && key !== 'y')) return
    if (undoesItsOwn(event.target as HTMLElement)) return
    event.preventDefault()
    go(key === 'y' || event.shiftKey ? redo : undo)
  })

  return {
    edit,
    through,
    undo: () => go(undo),
    redo: () => go(redo),
    canUndo: computed(() => steps.value.past.length > 0),
    canRedo: computed(() => steps.value.future.length > 0),
  }
}
