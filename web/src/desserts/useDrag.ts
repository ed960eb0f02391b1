/** A drag on the cut: shown at once, saved in one step when it ends. */
import { ref } from 'vue'

import type { DessertEntry, Part } from '../api/types'
import { type Drag, dragged, droppedAt } from './dragging'
import { withPart } from './parts'
import { sameData } from '../kit/steps'
import type { Composing } from './useComposing'

export function useDrag(work: Composing) {
  const dragging = ref(false)
  /** Draft and parts a drag began with. */
  let from: { draft: DessertEntry; parts: Part[] } | null = null

  function go(next: (parts: Part[]) => Part[] | undefined, done: boolean) {
    const draft = work.draft.value
    const parts = work.view.value?.parts
    if (!draft || !parts) return
    from ??= { draft, parts }
    const moved = next(from.parts)
    if (moved && done) void work.edit({ parts: moved }, from.draft)
    // Between two snaps nothing changes, and nothing is drawn anew.
    else if (moved && !sameData(moved, work.view.value?.parts)) {
      work.preview({ parts: moved }, from.draft)
    }
    dragging.value = !done
    if (done) from = null
  }

  function drag(to: Drag, done: boolean) {
    const chosen = work.chosen.value
    const rim = work.solved.value?.cut.rim_mm ?? 0
    go((parts) => {
      const part = parts.find((one) => one.key === chosen?.part)
      return part && withPart(parts, dragged(part, chosen?.layer ?? null, to, rim))
    }, done)
  }

  /** Where the others stand changes as it is carried past them, so it goes by what is shown. */
  function reorder(atMm: number, done: boolean) {
    const chosen = work.chosen.value
    const section = work.solved.value?.cut.section ?? []
    const shown = work.view.value?.parts
    if (chosen && shown) go(() => droppedAt(shown, chosen, atMm, section), done)
  }

  return { drag, reorder, dragging }
}
