<script setup lang="ts">
/** The last row of the grid: '250 g cream', Enter. Arrow keys choose among what fits. */
import Input from 'ant-design-vue/es/input'
import { computed, nextTick, ref, useId, watch } from 'vue'

import { Problem } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import type { ReadLine } from '../api/types'
import { figure } from '../kit/format'
import { fitting } from '../kit/search'
import { usePicked } from '../kit/usePicked'
import { readLine } from './useFormula'

export interface TypedResult {
  mass_g: number
  ingredient: string | null
  formula: string | null
}

/** A number and, where one is written, a unit; the server reads it properly. */
const AMOUNT =
  /^\s*([\d\s.,/½¼¾⅓⅔⅛]+(?:(?:fl oz|k?g|oz|lbs?|[mcd]?l|cups?|tbsp|tsp|sticks?)\b\.?)?)?\s*(.*)$/i

const props = defineProps<{ within: string; first?: boolean }>()
const emit = defineEmits<{ add: [line: TypedResult]; paste: [text: string] }>()
const { rows: ingredients } = useRows('ingredients')
const { rows: formulas } = useRows('formulas')
const { create } = useWrites('ingredients')
const id = useId()
const field = ref<{ focus: () => void } | null>(null)
/** An empty formula waits for its first line. */
watch(
  () => props.within,
  () => void nextTick(() => props.first && field.value?.focus()),
  { immediate: true },
)
const text = ref('')
const said = ref('')
const unknown = ref<ReadLine | null>(null)
const busy = ref(false)

/** Amount as typed, and the words behind it; only to offer names while typing. */
const split = computed(() => {
  const found = AMOUNT.exec(text.value)
  return { amount: (found?.[1] ?? '').trim(), words: (found?.[2] ?? '').trim() }
})
const offers = computed(() => {
  const { words } = split.value
  if (!words) return []
  const fit = fitting(words)
  return [...ingredients.value, ...formulas.value]
    .filter((one) => one.id !== props.within && fit(one.name))
    .sort((a, b) => a.name.length - b.name.length)
    .slice(0, 7)
})
const { picked, arrow } = usePicked(() => offers.value.length)

function typed() {
  picked.value = 0
  said.value = ''
  unknown.value = null
}

async function enter() {
  if (!text.value.trim() || busy.value) return
  busy.value = true
  try {
    const offer = offers.value[picked.value]
    const line = offer && split.value.amount ? `${split.value.amount} ${offer.name}` : text.value
    take(await readLine(line, props.within))
  } catch (error) {
    said.value = error instanceof Problem ? error.detail : String(error)
  } finally {
    busy.value = false
  }
}

function take(read: ReadLine) {
  const best = read.matches[0]
  if (!best || read.mass_g === null) {
    unknown.value = read
    said.value = `‘${read.name}’ is not in the pantry.`
    return
  }
  emit('add', {
    mass_g: Math.round(read.mass_g * 100) / 100,
    ingredient: best.is_formula ? null : best.id,
    formula: best.is_formula ? best.id : null,
  })
  const others = read.matches.length - 1
  said.value = `Took ${read.understood}${others ? `; ${others} more would fit` : ''}.`
  text.value = ''
}

async function addToPantry() {
  if (!unknown.value) return
  try {
    const { name } = unknown.value
    await create.mutateAsync({ name: name.charAt(0).toUpperCase() + name.slice(1) })
    unknown.value = null
    await enter()
  } catch (error) {
    said.value = (error as Error).message
  }
}

/** Several lines pasted at once are looked at before they are taken. */
function pasted(event: ClipboardEvent) {
  const all = event.clipboardData?.getData('text') ?? ''
  if (!all.trim().includes('\n')) return
  event.preventDefault()
  emit('paste', all)
}
</script>

<template>
  <div class="typed">
    <Input
      ref="field"
      v-model:value="text"
      placeholder="250 g cream"
      aria-label="Type a line: amount and name, then Enter"
      role="combobox"
      :aria-expanded="offers.length > 0"
      :aria-controls="`${id}-offers`"
      :aria-activedescendant="offers.length ? `${id}-${picked}` : undefined"
      autocomplete="off"
      @change="typed"
      @press-enter="enter"
      @keydown="arrow"
      @paste="pasted"
    />
    <ul v-if="offers.length && text" :id="`${id}-offers`" class="list offers" role="listbox">
      <li
        v-for="(one, i) in offers"
        :id="`${id}-${i}`"
        :key="one.id"
        role="option"
        :aria-selected="i === picked"
        :class="{ picked: i === picked }"
        @mousedown.prevent="((picked = i), enter())"
      >
        {{ one.name }}
        <span v-if="'density_g_ml' in one && one.density_g_ml" class="quiet">
          {{ figure(one.density_g_ml, 2) }} g/ml
        </span>
      </li>
    </ul>
    <p class="quiet said" aria-live="polite">
      {{ said || 'Type a line and press Enter: grams, cups, spoons, or pieces.' }}
      <button v-if="unknown" type="button" class="deed small" @click="addToPantry">
        Add it to the pantry
      </button>
    </p>
  </div>
</template>

<style scoped>
.typed {
  position: relative;
}

.offers {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: var(--round);
  box-shadow: 0 6px 18px rgb(31 66 51 / 14%);
  left: 0;
  position: absolute;
  right: 0;
  top: 42px;
  z-index: 5;
}

.offers li {
  cursor: pointer;
  display: flex;
  justify-content: space-between;
  padding: 5px 12px;
}

.offers li.picked {
  background: var(--bronze-wash);
}

.said {
  margin-top: 4px;
}
</style>
