/** Lines typed one after the other: read in their order, taken only where certain, never lost. */
import { computed, nextTick, ref, shallowReactive, watch } from 'vue'

import { Problem } from '../api/client'
import { know } from '../api/known'
import type { LineChoice, ReadLine } from '../api/types'
import { figure } from '../kit/format'
import { readLine } from './useFormula'

export interface TypedResult {
  key: string
  mass_g: number
  ingredient: string | null
  formula: string | null
  note: string
  soaked: number
}

/** A line that was entered and is not in the formula yet. */
export interface Waiting {
  key: string
  text: string
  /** What was understood; nothing while it is being read. */
  read: ReadLine | null
  /** Why it could not even be asked. */
  failed: string
}

/** What was done last: it can be undone, and a name can be remembered. */
export interface Said {
  text: string
  key: string
  remember: { name: string; choice: LineChoice } | null
}

/** By formula, and over a change of formula: a line belongs where it was typed. */
const waitingIn = shallowReactive(new Map<string, Waiting[]>())

export function lineOf(key: string, choice: LineChoice, note: string): TypedResult {
  if (!choice.is_formula) know('ingredients', [choice])
  return {
    key,
    mass_g: Math.round((choice.mass_g ?? 0) * 100) / 100,
    ingredient: choice.is_formula ? null : choice.id,
    formula: choice.is_formula ? choice.id : null,
    note,
    soaked: choice.soaked,
  }
}

export function useTypedLines(within: () => string, add: (line: TypedResult) => void) {
  const said = ref<Said | null>(null)
  const waiting = computed(() => waitingIn.get(within()) ?? [])
  /** The first line that asks something, or could not be read. */
  const open = computed(() => waiting.value.find((one) => one.read ?? one.failed))
  let order = Promise.resolve()

  function set(formula: string, lines: Waiting[]) {
    if (lines.length) waitingIn.set(formula, lines)
    else waitingIn.delete(formula)
  }
  const replace = (formula: string, key: string, by: Waiting[]) =>
    set(
      formula,
      (waitingIn.get(formula) ?? []).flatMap((one) => (one.key === key ? by : [one])),
    )

  function enter(text: string) {
    const line = { key: crypto.randomUUID().slice(0, 8), text, read: null, failed: '' }
    set(within(), [...waiting.value, line])
    read(line)
  }

  /** Asked at once, taken in the order of typing. */
  function read(line: Waiting) {
    const formula = within()
    const answer = readLine(line.text, formula).then(
      (found) => ({ ...line, read: found, failed: '' }),
      (error: unknown) => ({ ...line, failed: error instanceof Problem ? error.detail : 'lost' }),
    )
    order = order.then(async () => {
      const told = await answer
      // Another formula is on the screen: it is read again where it belongs.
      if (within() !== formula) return
      const sure = told.read?.certain
      if (told.read && sure) put(told, told.read, sure)
      else replace(formula, line.key, [told])
      await nextTick()
    })
  }

  function put(line: Waiting, read: ReadLine, choice: LineChoice) {
    replace(within(), line.key, [])
    add(lineOf(line.key, choice, read.note))
    const grams = choice.mass_g ? `${figure(choice.mass_g, 1)} g of ` : ''
    const note = read.note ? ` (${read.note})` : ''
    const asked = read.certain === null && !choice.is_formula && !choice.measure && !choice.called
    said.value = {
      text: `Took ${grams}${choice.name}${note}.`,
      key: line.key,
      remember: asked && read.name ? { name: read.name, choice } : null,
    }
  }

  watch(
    within,
    () => {
      said.value = null
      waiting.value.filter((one) => !one.read && !one.failed).forEach(read)
    },
    { immediate: true },
  )

  return {
    waiting,
    open,
    said,
    enter,
    choose: (line: Waiting, choice: LineChoice) => line.read && put(line, line.read, choice),
    again: (line: Waiting) => {
      const fresh = { ...line, read: null, failed: '' }
      replace(within(), line.key, [fresh])
      read(fresh)
    },
    leave: (line: Waiting) => replace(within(), line.key, []),
  }
}
