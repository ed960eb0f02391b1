<script setup lang="ts">
/** The cut, the view from above with its portions, and the selected part's editor. */
import { computed, defineAsyncComponent, ref } from 'vue'

import type { DessertEntry, FormulaBrief, PartResult, Solved } from '../api/types'
import { lookOf } from '../kit/flavors'
import { figure } from '../kit/format'
import { useWorking } from '../kit/working'
import CutDrawing from './CutDrawing.vue'
import { type Drag, dragged, handlesOf } from './dragging'
import { type Chosen, fieldPath, moldWords, sameChoice, withPart } from './parts'
import PortionsField from './PortionsField.vue'
import SaveNotice from '../kit/SaveNotice.vue'
import TopDrawing from './TopDrawing.vue'
import type { useDessert } from './useDessert'
import type { useUndo } from './useUndo'

const PartEditor = defineAsyncComponent(() => import('./PartEditor.vue'))
const props = defineProps<{
  dessert: ReturnType<typeof useDessert>
  changes: ReturnType<typeof useUndo>
  solved: Solved | undefined
  formulas: FormulaBrief[]
  chosen: Chosen | null
  formulaOf: (id: string) => FormulaBrief | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ choose: [chosen: Chosen] }>()
const { show } = useWorking()
const drawing = ref<InstanceType<typeof CutDrawing> | null>(null)

const draft = computed(() => props.dessert.draft.value)
const problem = computed(() => props.dessert.problem.value)
const part = computed(() => draft.value?.parts?.find((one) => one.key === props.chosen?.part))
const layer = computed(() =>
  part.value?.rule === 'insert'
    ? (part.value.layers.find((one) => one.key === props.chosen?.layer) ?? null)
    : null,
)
const result = computed(() =>
  props.chosen ? props.solved?.parts.find((one) => sameChoice(props.chosen, one)) : undefined,
)
const shape = computed(() => props.dessert.row.value?.shape)

function errorsUnder(chosen: Chosen | null) {
  const path = draft.value && chosen ? fieldPath(draft.value, chosen) : ''
  return (field: string) => problem.value?.at(`${path}.${field}`)
}
const errorAt = computed(() =>
  errorsUnder(props.chosen && { part: props.chosen.part, layer: null }),
)
const layerErrorAt = computed(() => errorsUnder(props.chosen))

/** The draft a drag began with; what is dragged is shown at once and saved at the end. */
let before: DessertEntry | null = null
function drag(to: Drag, done: boolean) {
  before ??= draft.value
  const from = before?.parts?.find((one) => one.key === props.chosen?.part)
  if (!before || !from || !props.solved) return
  const moved = dragged(from, props.chosen?.layer ?? null, to, props.solved.cut.rim_mm)
  const parts = withPart(before.parts ?? [], moved)
  if (done) void props.changes.edit({ parts }, before)
  else props.dessert.preview({ parts })
  if (done) before = null
}

const look = (formula: string) => lookOf(props.formulaOf(formula))
function nameOf(chosen: Chosen): string {
  const found = props.solved?.parts.find((one) => sameChoice(chosen, one))
  return found ? `${found.name}, ${found.rule}` : 'A part'
}
const pourWords = (pour: NonNullable<PartResult['pours']>[number]) =>
  `${pour.name}: ${figure(pour.volume_ml, 0)} ml` +
  (pour.mass_g == null ? '' : `, ${figure(pour.mass_g, 0)} g`) +
  ` from ${figure(pour.low_mm, 1)} to ${figure(pour.high_mm, 1)} mm`
const arithmetic = (one: PartResult) => one.make?.steps?.[0]?.arithmetic ?? one.volume?.arithmetic
</script>

<template>
  <section v-if="draft" class="board" aria-label="The cut">
    <SaveNotice
      v-if="problem"
      :problem="problem"
      @reload="dessert.reload"
      @insist="dessert.insist"
    />
    <div class="caption quiet">
      <span v-if="shape">{{ moldWords(shape) }}</span>
      <span v-if="!disabled" class="steps">
        <button
          type="button"
          class="deed small"
          :disabled="!changes.canUndo.value"
          title="Undo (Ctrl Z)"
          @click="changes.undo"
        >
          Undo
        </button>
        <button
          type="button"
          class="deed small"
          :disabled="!changes.canRedo.value"
          title="Redo (Ctrl Shift Z)"
          @click="changes.redo"
        >
          Redo
        </button>
      </span>
      <span>{{ drawing?.scale }}</span>
    </div>
    <template v-if="solved">
      <CutDrawing
        ref="drawing"
        class="drawing"
        :cut="solved.cut"
        :chosen="chosen"
        :look-of="look"
        :name-of="nameOf"
        :handles="disabled ? [] : handlesOf(part)"
        @drag="drag"
        @choose="(one) => emit('choose', one)"
      />
      <div class="under">
        <div class="from-above">
          <div class="plan"><TopDrawing :cut="solved.cut" :look-of="look" /></div>
          <PortionsField
            v-if="draft.portions"
            :portions="draft.portions"
            :solved="solved"
            :error-at="(field) => problem?.at(field)"
            :disabled="disabled"
            @change="(portions) => changes.edit({ portions })"
          />
        </div>
        <article v-if="part" class="editor" :aria-label="`Measures of ${result?.name ?? ''}`">
          <header>
            <h2>{{ result?.name }}</h2>
            <RouterLink v-if="result" :to="`/formulas/${result.formula}`">Its formula</RouterLink>
          </header>
          <PartEditor
            :part="part"
            :layer="layer"
            :formulas="formulas"
            :error-at="errorAt"
            :layer-error-at="layerErrorAt"
            :disabled="disabled"
            @change="(one) => changes.edit({ parts: withPart(draft?.parts ?? [], one) })"
          />
          <div v-if="result" class="working">
            <p>{{ arithmetic(result) }}</p>
            <p v-for="pour in result.pours" :key="pour.name" class="quiet">
              {{ pourWords(pour) }}
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
        </article>
        <p v-else class="editor pick quiet">
          Select a part on the cut or in the list to see its measures and their working.
        </p>
      </div>
    </template>
  </section>
</template>

<style scoped>
.board {
  display: grid;
  gap: 10px;
  grid-template-rows: auto auto auto 1fr;
}

.board > .caption:first-child {
  grid-row: 2;
}

.steps {
  display: flex;
  gap: 6px;
}

.caption {
  align-items: center;
  display: flex;
  justify-content: space-between;
}

.drawing {
  grid-row: 3;
}

.under {
  display: grid;
  gap: 22px;
  grid-row: 4;
  grid-template-columns: minmax(190px, 290px) minmax(0, 1fr);
}

.from-above {
  align-content: start;
  display: grid;
  gap: 12px;
}

.plan {
  display: grid;
  place-items: center;
}

.editor {
  align-self: start;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 12px;
  display: grid;
  gap: 10px;
  padding: 14px 16px;
}

.editor.pick {
  border-style: dashed;
  background: none;
  padding: 40px 24px;
  text-align: center;
}

.editor header {
  align-items: baseline;
  display: flex;
  gap: 12px;
  justify-content: space-between;
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

@media (max-width: 1100px) {
  .under {
    gap: 12px;
    grid-template-columns: 160px minmax(0, 1fr);
  }
}
</style>
