/** A dessert being composed: the size that is looked at, what it takes, and every way to change it. */
import { computed, ref, watch } from 'vue'

import type { DessertEntry } from '../api/types'
import { type Chosen, partRows } from './parts'
import { editOf, FIRST, sizeOf, viewOf } from './sizes'
import { useDessert, useWorkedOut } from './useDessert'
import { useUndo } from '../kit/useUndo'

export type Composing = ReturnType<typeof useComposing>

export function useComposing(id: () => string | undefined) {
  const dessert = useDessert(id)
  const undo = useUndo(id, dessert)
  const { draft } = dessert
  /** The size asked for; what is shown changes with the answer, all of it at once. */
  const asked = ref(FIRST)
  const { worked, error: unsolved } = useWorkedOut(
    id,
    () => draft.value,
    () => asked.value,
    () => draft.value === dessert.base.value,
  )
  const size = computed(() => {
    const key = worked.value?.key ?? FIRST
    return draft.value && sizeOf(draft.value, key) ? key : FIRST
  })
  const view = computed(() => draft.value && viewOf(draft.value, size.value, worked.value))
  /** Whether what is seen is another size that has no parts of its own. */
  const follows = computed(() => {
    const own = draft.value && sizeOf(draft.value, size.value)
    return Boolean(own) && !own?.parts
  })
  const chosen = ref<Chosen | null>(null)
  const rows = computed(() => partRows(view.value?.parts ?? [], worked.value?.solved.parts ?? []))
  const part = computed(() => view.value?.parts?.find((one) => one.key === chosen.value?.part))

  watch(id, () => {
    chosen.value = null
    asked.value = FIRST
  })
  watch(draft, (now) => {
    if (now && !sizeOf(now, asked.value)) asked.value = FIRST
  })

  /** A finding names a part; where that is an insert, its first layer is meant. */
  function choose(wanted: Chosen | null) {
    const row =
      rows.value.find((one) => one.part === wanted?.part && one.layer === wanted.layer) ??
      rows.value.find((one) => one.part === wanted?.part)
    chosen.value = row ? { part: row.part, layer: row.layer } : null
  }

  /** Change what is seen; `from` is the draft a drag began with. */
  async function edit(changed: Partial<DessertEntry>, from = draft.value) {
    if (from) await undo.edit(editOf(from, size.value, changed), from)
  }

  /** Show a change of what is seen without saving it. */
  function preview(changed: Partial<DessertEntry>, from: DessertEntry) {
    dessert.preview(editOf(from, size.value, changed))
  }

  /** The message for one field of what is seen, wherever the server found the fault. */
  function errorAt(field: string): string | undefined {
    const at = draft.value?.sizes?.findIndex((one) => one.key === size.value) ?? -1
    const path = at < 0 ? field : `sizes.${at}.${field}`
    return dessert.problem.value?.at(path) ?? unsolved.value?.at(path)
  }

  return {
    errorAt,
    dessert,
    draft,
    problem: dessert.problem,
    undo,
    worked,
    solved: computed(() => worked.value?.solved),
    unsolved,
    asked,
    size,
    view,
    follows,
    rows,
    chosen,
    part,
    choose,
    edit,
    preview,
  }
}
