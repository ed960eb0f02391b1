/** Listen on the window for as long as the component lives. */
import { onBeforeUnmount, onMounted } from 'vue'

export function useEventListener<K extends keyof WindowEventMap>(
  name: K,
  listener: (event: WindowEventMap[K]) => void,
) {
  onMounted(() => window.addEventListener(name, listener))
  onBeforeUnmount(() => window.removeEventListener(name, listener))
}
