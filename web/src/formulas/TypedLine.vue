<script setup lang="ts">
/** '250 g cream', Enter, the next one. Only what is certain is taken; the rest asks. */
import Input from 'ant-design-vue/es/input'
import { computed, nextTick, ref, useId, watch } from 'vue'

import { refusalOf } from '../api/client'
import { useNaming } from '../api/names'
import { useWrites } from '../api/shelves'
import type { LineChoice } from '../api/types'
import { usePicked } from '../kit/usePicked'
import LineChoices from './LineChoices.vue'
import OpenLine from './OpenLine.vue'
import { useOffers } from './useOffers'
import { lineOf, type TypedResult, useTypedLines, type Waiting } from './useTypedLines'

const props = defineProps<{ within: string; first?: boolean }>()
const emit = defineEmits<{
  add: [line: TypedResult]
  remove: [key: string]
  paste: [text: string]
}>()
const { create } = useWrites('ingredients')
const naming = useNaming()
const id = useId()
const field = ref<{ $el: HTMLElement; focus: () => void } | null>(null)
const text = ref('')
const refusal = ref('')
/** An empty formula waits for its first line. */
watch(
  () => props.within,
  () => {
    text.value = ''
    void nextTick(() => props.first && field.value?.focus())
  },
  { immediate: true },
)
const lines = useTypedLines(
  () => props.within,
  (line) => emit('add', line),
)
const { open, said, waiting } = lines
const { offers, read } = useOffers(
  () => text.value,
  () => props.within,
)
/** What the arrow keys walk: the offers for what is being typed, else the answers to a question. */
const walked = computed(() => {
  if (text.value) return offers.value
  return open.value?.read?.choices.filter((one) => one.mass_g !== null) ?? []
})
const { picked, arrow } = usePicked(() => walked.value.length, -1)
watch([text, open], () => (picked.value = -1))
/** Near the foot of the screen what is offered stands above the field. */
const isLow = computed(() => {
  if (!text.value) return false
  const foot = field.value?.$el.getBoundingClientRect().bottom ?? 0
  return foot + 340 > window.innerHeight
})
const reading = computed(() => waiting.value.filter((one) => !one.read && !one.failed).length)

function enter() {
  refusal.value = ''
  const choice = walked.value[picked.value]
  if (choice) return choose(choice)
  if (!text.value.trim()) return
  lines.enter(text.value.trim())
  text.value = ''
}

function choose(choice: LineChoice) {
  if (!text.value) {
    if (open.value) lines.choose(open.value, choice)
  } else if (choice.mass_g === null) {
    // No amount yet: the name is put in, and the amount is asked for in front of it.
    text.value = choice.wants_amount ? ` ${choice.name}` : text.value
    refusal.value = choice.lacks
  } else {
    const key = crypto.randomUUID().slice(0, 8)
    emit('add', lineOf(key, choice, read.value?.note ?? ''))
    said.value = { text: `Took ${choice.name}.`, key, remember: null }
    text.value = ''
  }
  field.value?.focus()
}

function edit(line: Waiting) {
  lines.leave(line)
  text.value = line.text
  field.value?.focus()
}

async function stock(line: Waiting, name: string) {
  try {
    await create.mutateAsync({ name: name.charAt(0).toUpperCase() + name.slice(1) })
    lines.again(line)
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}

function undo() {
  if (said.value) emit('remove', said.value.key)
  said.value = null
}

async function remember() {
  const wanted = said.value?.remember
  if (!wanted) return
  try {
    await naming.remember(wanted.choice.id, wanted.name)
    if (said.value) {
      const told = `From now on ‘${wanted.name}’ is ${wanted.choice.name}.`
      said.value = { ...said.value, text: told, remember: null }
    }
  } catch (error) {
    refusal.value = refusalOf(error).detail
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
      :aria-expanded="walked.length > 0"
      :aria-controls="`${id}-offers`"
      :aria-activedescendant="picked >= 0 ? `${id}-offers-${picked}` : undefined"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      :maxlength="200"
      @press-enter="enter"
      @keydown="arrow"
      @paste="pasted"
    />
    <div v-if="text && offers.length" :class="['offers', { above: isLow }]">
      <LineChoices
        :id="`${id}-offers`"
        :choices="offers"
        :picked="picked"
        label="What it may be"
        @choose="choose"
      />
    </div>
    <p class="quiet said" aria-live="polite">
      <span v-if="reading">Reading {{ reading }} {{ reading === 1 ? 'line' : 'lines' }} …</span>
      <template v-else-if="said">
        {{ said.text }}
        <button type="button" class="deed small" @click="undo">Take it out again</button>
        <button v-if="said.remember" type="button" class="deed small" @click="remember">
          Always take ‘{{ said.remember.name }}’ for it
        </button>
      </template>
      <template v-else>
        Type a line and press Enter: grams, cups, spoons, or pieces.
        <button type="button" class="deed small" @click="emit('paste', '')">Paste a list</button>
      </template>
    </p>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <OpenLine
      v-if="open && !text"
      :id="`${id}-offers`"
      :line="open"
      :picked="picked"
      :more="waiting.length - 1"
      @choose="choose"
      @edit="edit(open)"
      @leave="lines.leave(open)"
      @again="lines.again(open)"
      @stock="(name) => open && stock(open, name)"
    />
    <p v-else-if="open" class="quiet">
      {{ waiting.length === 1 ? 'A line waits' : `${waiting.length} lines wait` }} for an answer.
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
  max-height: 330px;
  overflow-y: auto;
  position: absolute;
  right: 0;
  top: 42px;
  z-index: 5;
}

.offers.above {
  bottom: calc(100% - 4px);
  top: auto;
}

.said {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  margin-top: 4px;
  min-height: 26px;
}
</style>
