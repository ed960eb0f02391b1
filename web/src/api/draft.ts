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
  let revision = 0
  let editedSince = false

  function showSaved(saved: Full | undefined) {
    if (!saved || saving.value || problem.value) return
    revision = saved.revision
    draft.value = entryOf(saved)
  }
  watch(id, () => {
    problem.value = null
    draft.value = null
  })
  watch(row.data, (saved) => showSaved(saved as Full | undefined), { immediate: true })

  /** Show a change at once and save it; changes made while saving go with the next save. */
  async function edit(changed: Partial<Entry>) {
    if (!draft.value) return
    draft.value = { ...draft.value, ...changed }
    editedSince = true
    if (!saving.value) await save()
  }

  async function save() {
    saving.value = true
    problem.value = null
    try {
      while (editedSince) {
        editedSince = false
        await saveOnce(id(), draft.value)
      }
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      problem.value = error
    } finally {
      saving.value = false
    }
  }

  async function saveOnce(to: string | undefined, data: Entry | null) {
    if (!to || !data) return
    const saved = await change.mutateAsync({ id: to, revision, data })
    revision = saved.revision
  }

  /** Give up what could not be saved and show what the kitchen has. */
  async function reload() {
    problem.value = null
    const { data } = await row.refetch()
    showSaved(data as Full | undefined)
  }

  /** Save over what somebody else saved meanwhile, or once more. */
  async function insist() {
    revision = Number(problem.value?.extra.revision ?? revision)
    editedSince = true
    await save()
  }

  return {
    row: row.data as Ref<Full | undefined>,
    missing: computed(() => row.error.value instanceof Problem && row.error.value.status === 404),
    draft,
    problem,
    saving,
    edit,
    reload,
    insist,
  }
}
