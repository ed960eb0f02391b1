/** Size of an element as it is on the screen. */
import { onBeforeUnmount, reactive, type Ref, watch } from 'vue'

export function useSize(element: Ref<HTMLElement | null>) {
  const size = reactive({ width: 0, height: 0 })
  const observer = new ResizeObserver(([entry]) => {
    if (!entry) return
    size.width = entry.contentRect.width
    size.height = entry.contentRect.height
  })
  watch(element, (now, before) => {
    if (before) observer.unobserve(before)
    if (now) observer.observe(now)
  })
  onBeforeUnmount(() => observer.disconnect())
  return size
}
