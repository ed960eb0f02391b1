/** Which of the offers is picked; arrow keys go round. With `first` -1 none is, to begin with. */
import { ref } from 'vue'

export function usePicked(count: () => number, first: -1 | 0 = 0) {
  const picked = ref(first as number)

  function arrow(event: KeyboardEvent) {
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return
    event.preventDefault()
    const by = event.key === 'ArrowDown' ? 1 : -1
    if (!count()) return
    const from = picked.value < 0 && by < 0 ? 0 : picked.value
    picked.value = (from + by + count()) % count()
  }
  return { picked, arrow }
}
