/** The working that is open, wherever it was opened from. */
import { shallowRef } from 'vue'

import type { Working } from '../api/types'

const open = shallowRef<Working | null>(null)

export function useWorking() {
  return {
    open,
    show: (working: Working) => {
      open.value = working
    },
    close: () => {
      open.value = null
    },
  }
}
