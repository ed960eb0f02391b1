/** Which of the offers is picked; arrow keys go round. */
import { ref } from 'vue'

export function usePicked(count: () => number) {
  const picked = ref(0)

  function arrow(event: KeyboardEvent) {
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
    event.preventDefault()
    const by = event.key === 'ArrowDown' ? 1 : -1
    if (count()) picked.value = (picked.value + by + count()) % count()
  }
  return { picked, arrow }
}
