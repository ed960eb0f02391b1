/** One row on the screen: what is shown, what is saved, and what could not be saved. */
import { computed, onScopeDispose, ref, type Ref, shallowRef, type ShallowRef, watch } from 'vue'

import { AGAIN_MS } from './again'
import { Problem } from './client'
import { type Shelf, type Shelves, useRow, useWrites } from './shelves'
import { signedOut } from './signedOut'
import { claimOwn, dropUnsaved, holdBack, keepUnsaved, takeLeft } from './unsaved'

/** Not this entry, not by this person, not this row: asking again would change nothing. */
const REFUSED = new Set([400, 403, 404, 422])

export function useDraft<S extends Shelf>(
  shelf: S,
  id: () => string | undefined,
  entryOf: (row: Shelves[S]['full']) => Shelves[S]['entry'],
) {
  type Entry = Shelves[S]['entry']
  type Full = Shelves[S]['full']
  const row = useRow(shelf, id)
  const { change } = useWrites(shelf)
  const draft: ShallowRef<Entry | null> = shallowRef(null)
  const problem: ShallowRef<Problem | null> = shallowRef(null)
  const saving: Ref<boolean> = ref(false)
  /** The entry the draft began with: what was saved last, here or before. */
  const base: ShallowRef<Entry | null> = shallowRef(null)
  const revisions = new Map<string, number>()
  /** The row the draft belongs to, and the edit that goes out with the next save. */
  let shown: string | undefined
  let pending: { id: string; data: Entry } | null = null
  /** Ends that what is kept of the row is this page's to send. */
  let free: (() => void) | null = null
  /** While what an earlier visit left is looked for, an edit waits: it goes on from there. */
  let resuming: Promise<void> | null = null
  /** Counts the times somebody else's save came in. */
  const foreign = ref(0)

  function show(saved: Full | undefined) {
    const wanted = id()
    if (wanted !== shown) {
      leave()
      shown = undefined
      draft.value = null
      base.value = null
      problem.value = null
    }
    if (!saved || saved.id !== wanted) return
    // What was read before it was saved here is older than what is shown.
    if (shown && saved.revision < (revisions.get(saved.id) ?? 0)) return
    // What is not saved yet, as while a drag is under way, is not taken from under the hand.
    const unsaved = JSON.stringify(draft.value) !== JSON.stringify(base.value)
    if (shown && (saving.value || problem.value || unsaved)) return
    if (shown && revisions.get(saved.id) !== saved.revision) foreign.value += 1
    const first = !shown
    shown = saved.id
    revisions.set(saved.id, saved.revision)
    draft.value = entryOf(saved)
    base.value = draft.value
    if (first) resuming = resume(saved.id).finally(() => (resuming = null))
  }
  watch([id, row.data], () => show(row.data.value as Full | undefined), { immediate: true })

  /** What is kept of this row from now on is this page's to send, as long as it is shown. */
  async function hold(at: string) {
    const claimed = await claimOwn(shelf, at)
    if (free || shown !== at) claimed?.()
    else free = claimed
  }

  /** Another row is shown, or none: whoever wants may go on with what was left of this one. */
  function leave() {
    free?.()
    free = null
  }

  /** Go on with what an earlier visit could not save; if it is stale by now, that is told. */
  async function resume(at: string) {
    const left = await takeLeft<Entry>(shelf, at)
    if (!left || shown !== at) return
    void hold(at)
    revisions.set(at, left.revision)
    draft.value = left.data
    pending = { id: at, data: left.data }
    await save()
  }

  /** Show a change at once and save it; changes made while saving go with the next save. */
  async function edit(changed: Partial<Entry>) {
    if (resuming) await resuming
    if (!draft.value || !shown) return
    void hold(shown)
    draft.value = { ...draft.value, ...changed }
    pending = { id: shown, data: draft.value }
    void keepUnsaved(shelf, shown, { revision: revisions.get(shown) ?? 1, data: draft.value })
    // What is stale stays so until one chooses; silence is asked again by itself.
    if (!saving.value && problem.value?.status !== 409) await save()
  }

  /** Show a change without saving it, while a drag is under way. */
  function preview(changed: Partial<Entry>) {
    if (draft.value) draft.value = { ...draft.value, ...changed }
  }

  async function save() {
    saving.value = true
    let sent: { id: string; data: Entry } | null = null
    try {
      while (pending) {
        sent = pending
        const { id: to, data }: { id: string; data: Entry } = pending
        pending = null
        const revision = revisions.get(to) ?? 1
        const saved = await change.mutateAsync({ id: to, revision, data })
        revisions.set(to, saved.revision)
        if (to === shown) base.value = data
        if (!pending) await dropUnsaved(shelf, to)
      }
      problem.value = null
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      if (sent?.id === shown) problem.value = error
      // A refused entry is not worth keeping for later; everything else may yet be saved.
      if (sent && REFUSED.has(error.status)) await dropUnsaved(shelf, sent.id)
      else if (sent) holdBack(shelf, sent.id)
    } finally {
      saving.value = false
    }
  }

  /** Give up what could not be saved and show what the kitchen has. */
  async function reload() {
    problem.value = null
    pending = null
    draft.value = base.value
    if (shown) await dropUnsaved(shelf, shown)
    const { data } = await row.refetch()
    show(data as Full | undefined)
  }

  /** Save over what somebody else saved meanwhile, or once more; `data` where it was merged. */
  async function insist(data: Entry | null = draft.value) {
    if (!shown || !data) return
    const theirs = problem.value?.stale.revision ?? 0
    if (theirs) revisions.set(shown, theirs)
    draft.value = data
    pending = { id: shown, data }
    void keepUnsaved(shelf, shown, { revision: revisions.get(shown) ?? 1, data })
    await save()
  }

  const again = () => {
    if (problem.value?.isSilence && !saving.value) void insist()
  }
  watch(signedOut, (out) => {
    if (!out && problem.value?.status === 401) void insist()
  })
  const timer = setInterval(again, AGAIN_MS)
  window.addEventListener('online', again)
  onScopeDispose(() => {
    leave()
    clearInterval(timer)
    window.removeEventListener('online', again)
  })

  return {
    row: row.data as Ref<Full | undefined>,
    missing: computed(() => row.error.value instanceof Problem && row.error.value.status === 404),
    draft,
    base,
    problem,
    /** What somebody else saved meanwhile, where a save was stale. */
    theirs: computed(() =>
      problem.value?.status === 409
        ? (problem.value.stale.current as Entry | undefined)
        : undefined,
    ),
    saving,
    foreign,
    edit,
    preview,
    reload,
    insist,
  }
}
