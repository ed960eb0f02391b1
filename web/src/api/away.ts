/** Whether the kitchen is away: what is shown is what was known, and it is asked again until it is back. */
import { ref } from 'vue'

import { AGAIN_MS } from './again'

export const away = ref(false)
let back = () => {}

/** What to do when the kitchen is there again. */
export function whenBack(then: () => void) {
  back = then
}

/** Nobody answered, or what was kept stood in. */
export function noteAway() {
  if (away.value) return
  away.value = true
  setTimeout(() => void look(), AGAIN_MS)
}

async function look() {
  try {
    const answer = await fetch('/health/ready')
    if (answer.ok) {
      away.value = false
      back()
      return
    }
  } catch {
    // Still nobody.
  }
  setTimeout(() => void look(), AGAIN_MS)
}

/** What this browser kept of a kitchen's answers is forgotten: somebody else is to sign in. */
export async function forgetKept() {
  if ('caches' in window) await caches.delete('kitchen')
}
