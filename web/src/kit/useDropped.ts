/** Rows of a list reordered by dragging. The list itself stays as it is drawn: the new order comes
 * back with the data. */
import type Sortable from 'sortablejs'
import { onBeforeUnmount, onMounted, type Ref } from 'vue'

export function useDropped(
  list: Ref<HTMLElement | null>,
  allowed: () => boolean,
  dropped: (from: number, to: number) => void,
) {
  let sortable: Sortable | undefined
  let gone = false

  onMounted(async () => {
    const { default: Sorted } = await import('sortablejs')
    if (gone || !list.value) return
    let order: ChildNode[] = []
    sortable = Sorted.create(list.value, {
      animation: 120,
      // The browser's own drag neither follows touch nor can be styled.
      forceFallback: true,
      fallbackOnBody: true,
      fallbackTolerance: 4,
      delay: 120,
      delayOnTouchOnly: true,
      filter: () => !allowed(),
      preventOnFilter: false,
      chosenClass: 'carried',
      onStart: ({ from }) => (order = [...from.childNodes]),
      onEnd: ({ from, oldIndex, newIndex }) => {
        from.replaceChildren(...order)
        if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
        dropped(oldIndex, newIndex)
      },
    })
  })
  onBeforeUnmount(() => {
    gone = true
    sortable?.destroy()
  })
}
