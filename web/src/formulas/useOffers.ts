/** What may be meant while a line is being typed; the last answer wins. */
import { onScopeDispose, ref, watch } from 'vue'

import type { LineChoice, ReadLine } from '../api/types'
import { readLine } from './useFormula'

const PAUSE_MS = 90

export function useOffers(text: () => string, within: () => string) {
  const offers = ref<LineChoice[]>([])
  const read = ref<ReadLine | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0

  async function ask(typed: string) {
    const turn = ++asked
    try {
      const found = await readLine(typed, within(), true)
      if (turn !== asked || text() !== typed) return
      read.value = found
      offers.value = found.choices
    } catch {
      // Without an answer nothing is offered; Enter says why.
      offers.value = []
    }
  }
  watch(text, (typed) => {
    clearTimeout(timer)
    asked += 1
    if (/\p{L}/u.test(typed)) timer = setTimeout(() => void ask(typed), PAUSE_MS)
    else offers.value = []
  })
  onScopeDispose(() => clearTimeout(timer))
  return { offers, read }
}
