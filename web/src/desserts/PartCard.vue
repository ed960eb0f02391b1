<script setup lang="ts">
/** The selected part: its measures, the working beneath them, and what can be kept of it. */
import { computed, defineAsyncComponent, ref } from 'vue'

import { refusalOf } from '../api/client'
import type { FormulaLook, Part } from '../api/types'
import { lookOf } from '../kit/flavors'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useWorking } from '../kit/working'
import PartEditor from './PartEditor.vue'
import ViewDrawing from './ViewDrawing.vue'
import { type Chosen, fieldPath, formulaIn, isLayered, sameChoice, withPart } from './parts'
import type { Composing } from './useComposing'
import { propose } from './useDessert'

const KeepStack = defineAsyncComponent(() => import('./KeepStack.vue'))
const props = defineProps<{
  work: Composing
  part: Part
  formulaOf: (id: string) => FormulaLook | undefined
  disabled: boolean
}>()
const { view, solved, chosen } = props.work
const { show } = useWorking()
const keeping = ref(false)

const layer = computed(() =>
  isLayered(props.part)
    ? (props.part.layers.find((one) => one.key === chosen.value?.layer) ?? null)
    : null,
)
/** What it is cut or lined by. */
const templates = computed(
  () => solved.value?.cut.views.filter((one) => one.part === props.part.key) ?? [],
)
const result = computed(() => solved.value?.parts.find((one) => sameChoice(chosen.value, one)))

function errorsUnder(at: Chosen | null) {
  const path = view.value && at ? fieldPath(view.value, at) : ''
  return (field: string) => props.work.errorAt(`${path}.${field}`)
}
const errorAt = computed(() => errorsUnder(chosen.value && { ...chosen.value, layer: null }))
const layerErrorAt = computed(() => errorsUnder(chosen.value))

const change = (one: Part) => props.work.edit({ parts: withPart(view.value?.parts ?? [], one) })
const refusal = ref('')
/** The same formula doing something else: measured anew, in the same place of the list. */
async function become(rule: Part['rule']) {
  const now = view.value
  if (!now || rule === props.part.rule) return
  const parts = now.parts ?? []
  const formula = formulaIn(props.part)
  const others = parts.filter((one) => one.key !== props.part.key)
  refusal.value = ''
  try {
    const fresh = await propose({ ...now, parts: others }, { rule, key: props.part.key, formula })
    await props.work.edit({ parts: withPart(parts, fresh) })
    props.work.choose({ part: fresh.key, layer: null })
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}
const arithmetic = computed(
  () => result.value?.make?.steps?.[0]?.arithmetic ?? result.value?.volume?.arithmetic,
)
</script>

<template>
  <article class="editor" :aria-label="`Measures of ${result?.name ?? ''}`">
    <header>
      <h2>{{ result?.name }}</h2>
      <button v-if="!disabled" type="button" class="open" @click="keeping = true">
        Keep as a stack
      </button>
      <RouterLink v-if="result" :to="`/formulas/${result.formula}`">Its formula</RouterLink>
    </header>
    <PartEditor
      :part="part"
      :layer="layer"
      :formula-of="formulaOf"
      :error-at="errorAt"
      :layer-error-at="layerErrorAt"
      :disabled="disabled"
      @change="change"
      @become="become"
    />
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <div v-if="result" class="working">
      <p>{{ arithmetic }}</p>
      <p v-for="(pour, i) in result.pours" :key="i" class="quiet">
        {{ pour.name }}, {{ figure(pour.low_mm, 1) }} to {{ figure(pour.high_mm, 1) }} mm:
        <WorkedFigure :working="pour.volume" />,
        <WorkedFigure :working="pour.mass ?? null" />
      </p>
      <button
        v-if="result.make ?? result.volume"
        type="button"
        class="open"
        @click="show((result.make ?? result.volume)!)"
      >
        Open the working
      </button>
    </div>
    <ViewDrawing
      v-for="(one, i) in templates"
      :key="i"
      :view="one"
      :chosen="null"
      :look-of="(formula) => lookOf(formulaOf(formula))"
      :tallest="130"
    />
    <KeepStack v-if="keeping" :work="work" :part="part" @close="keeping = false" />
  </article>
</template>

<style scoped>
.editor {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 12px;
  display: grid;
  gap: 10px;
  padding: 14px 16px;
}

header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}

header {
  font-size: 14px;
}

h2 {
  flex: 1 1 auto;
}

.working {
  border-left: 3px solid var(--bronze);
  font-size: 14px;
  padding-left: 10px;
}

.open {
  background: none;
  border: 0;
  color: var(--fern);
  cursor: pointer;
  padding: 0;
  text-decoration: underline;
}
</style>
