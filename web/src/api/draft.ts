/** One row on the screen: what is shown, what is saved, and what could not be saved. */
import { computed, ref, type Ref, shallowRef, type ShallowRef, watch } from 'vue'

import { Problem } from './client'
import { type Kind, type Kinds, useRow, useWrites } from './shelves'

export function useDraft<K extends Kind>(
  kind: K,
  id: () => string | undefined,
  entryOf: (row: Kinds[K]['full']) => Kinds[K]['entry'],
) {
  type Entry = Kinds[K]['entry']
  type Full = Kinds[K]['full']
  const row = useRow(kind, id)
  const { change } = useWrites(kind)
  const draft: ShallowRef<Entry | null> = shallowRef(null)
  const problem: ShallowRef<Problem | null> = shallowRef(null)
  const saving: Ref<boolean> = ref(false)
  const revisions = new Map<string, number>()
  /** The row the draft belongs to, and the edit that goes out with the next save. */
  let shown: string | undefined
  let pending: { id: string; data: Entry } | null = null
  /** Counts the times somebody else's save came in. */
  const foreign = ref(0)

  function show(saved: Full | undefined) {
    const wanted = id()
    if (wanted !== shown) {
      shown = undefined
      draft.value = null
      problem.value = null
    }
    if (!saved || saved.id !== wanted) return
    if (shown && (saving.value || problem.value)) return
    if (shown && revisions.get(saved.id) !== saved.revision) foreign.value += 1
    shown = saved.id
    revisions.set(saved.id, saved.revision)
    draft.value = entryOf(saved)
  }
  watch([id, row.data], () => show(row.data.value as Full | undefined), { immediate: true })

  /** Show a change at once and save it; changes made while saving go with the next save. */
  async function edit(changed: Partial<Entry>) {
    if (!draft.value || !shown) return
    draft.value = { ...draft.value, ...changed }
    pending = { id: shown, data: draft.value }
    if (!saving.value) await save()
  }

  /** Show a change without saving it, while a drag is under way. */
  function preview(changed: Partial<Entry>) {
    if (draft.value) draft.value = { ...draft.value, ...changed }
  }

  async function save() {
    saving.value = true
    problem.value = null
    try {
      while (pending) {
        const { id: to, data }: { id: string; data: Entry } = pending
        pending = null
        const revision = revisions.get(to) ?? 1
        const saved = await change.mutateAsync({ id: to, revision, data })
        revisions.set(to, saved.revision)
      }
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      problem.value = error
    } finally {
      saving.value = false
    }
  }

  /** Give up what could not be saved and show what the kitchen has. */
  async function reload() {
    problem.value = null
    pending = null
    const { data } = await row.refetch()
    show(data as Full | undefined)
  }

  /** Save over what somebody else saved meanwhile, or once more. */
  async function insist() {
    if (!shown || !draft.value) return
    const theirs = Number(problem.value?.extra.revision)
    if (theirs) revisions.set(shown, theirs)
    pending = { id: shown, data: draft.value }
    await save()
  }

  return {
    row: row.data as Ref<Full | undefined>,
    missing: computed(() => row.error.value instanceof Problem && row.error.value.status === 404),
    draft,
    problem,
    saving,
    foreign,
    edit,
    preview,
    reload,
    insist,
  }
}
