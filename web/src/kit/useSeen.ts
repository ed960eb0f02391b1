/** Does something whenever an element comes into view. */
import { onScopeDispose, type Ref, watch } from 'vue'

export function useSeen(element: Ref<HTMLElement | null>, seen: () => void) {
  const observer = new IntersectionObserver((entries) => {
    if (entries.some((one) => one.isIntersecting)) seen()
  })
  watch(
    element,
    (now, before) => {
      if (before) observer.unobserve(before)
      if (now) observer.observe(now)
    },
    { flush: 'post' },
  )
  onScopeDispose(() => observer.disconnect())
}
