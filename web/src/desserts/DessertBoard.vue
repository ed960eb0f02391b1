<script setup lang="ts">
/** The cut, the view from above with its portions, the selected part's editor, the build strip. */
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'

import { ruleWords } from '../api/house'
import type { FormulaLook } from '../api/types'
import { lookOf } from '../kit/flavors'
import SaveNotice from '../kit/SaveNotice.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import UndoButtons from '../kit/UndoButtons.vue'
import { undoCommands, useCommands } from '../shell/commands'
import BuildStrip from './BuildStrip.vue'
import CutDrawing from './CutDrawing.vue'
import { canReorder } from './dragging'
import { type Chosen, sameChoice } from './parts'
import PartCard from './PartCard.vue'
import PortionsField from './PortionsField.vue'
import StageSheet from './StageSheet.vue'
import TopDrawing from './TopDrawing.vue'
import ViewDrawing from './ViewDrawing.vue'
import type { Composing } from './useComposing'
import { useDrag } from './useDrag'

const MergeDialog = defineAsyncComponent(() => import('./MergeDialog.vue'))
const props = defineProps<{
  work: Composing
  formulaOf: (id: string) => FormulaLook | undefined
  disabled: boolean
}>()
const { view, solved, worked, problem, chosen, part, undo } = props.work
const { drag, reorder, dragging } = useDrag(props.work)
const drawing = ref<InstanceType<typeof CutDrawing> | null>(null)
const turned = ref(false)
const comparing = ref(false)
/** Which stage of the building is shown large. */
const stageAt = ref<number | null>(null)
const stages = computed(() => solved.value?.stages ?? [])
/** What the strip along the foot shows: it waits for the end of a drag, which it would slow down. */
const built = shallowRef(solved.value)
watch([solved, dragging], ([now, moving]) => {
  if (!moving) built.value = now
})
const stage = computed(() => (stageAt.value === null ? undefined : stages.value[stageAt.value]))
watch(view, (now, before) => now?.mold !== before?.mold && (stageAt.value = null))

/** What is seen with the cut; a part's own template is seen with the part. */
const beside = computed(() => solved.value?.cut.views.filter((one) => one.part === null) ?? [])

const look = (formula: string) => lookOf(props.formulaOf(formula))
function nameOf(one: Chosen): string {
  const found = solved.value?.parts.find((result) => sameChoice(one, result))
  return found ? `${found.name}, ${found.goes_by}` : 'A part'
}
const handles = computed(() => (props.disabled ? [] : (ruleWords(part.value?.rule)?.handles ?? [])))
const movable = (key: string) => {
  const rule = view.value?.parts?.find((one) => one.key === key)?.rule
  return !props.disabled && Boolean(ruleWords(rule)?.carried)
}
const reorderable = computed(
  () =>
    !props.disabled && chosen.value !== null && canReorder(view.value?.parts ?? [], chosen.value),
)

useCommands(() => [
  { name: 'Turn the drawing over', keys: 't', run: () => (turned.value = !turned.value) },
  { name: 'Show the building, stage by stage', keys: 'b', run: () => (stageAt.value = 0) },
  ...undoCommands(undo, props.disabled),
])
</script>

<template>
  <section v-if="view" class="board" aria-label="The cut">
    <SaveNotice
      v-if="problem"
      :problem="problem"
      comparable
      @reload="work.dessert.reload"
      @insist="work.dessert.insist()"
      @compare="comparing = true"
    />
    <MergeDialog
      v-if="comparing && work.dessert.theirs.value"
      :dessert="work.dessert"
      :formula-of="formulaOf"
      @close="comparing = false"
    />
    <h1 class="on-paper">{{ view.name }}</h1>
    <div class="caption quiet">
      <SwitchRow
        label="How it stands"
        :value="turned"
        :choices="[
          { value: false, label: 'As served' },
          { value: true, label: 'Turned over' },
        ]"
        @change="(way) => (turned = way)"
      />
      <UndoButtons v-if="!disabled" :undo="undo" />
      <span class="where">
        {{ [worked?.mold_says, drawing?.scale].filter(Boolean).join(' · ') }}
      </span>
    </div>
    <template v-if="solved">
      <StageSheet
        v-if="stage && stageAt !== null"
        class="large"
        :stage="stage"
        :number="stageAt + 1"
        :of="stages.length"
        :solved="solved"
        :look-of="look"
        @step="(by) => (stageAt = (stageAt ?? 0) + by)"
        @close="stageAt = null"
      />
      <template v-else>
        <div :class="['drawings', { several: beside.length }]">
          <CutDrawing
            ref="drawing"
            class="drawing"
            :cut="solved.cut"
            :chosen="chosen"
            :look-of="look"
            :name-of="nameOf"
            :handles="handles"
            :movable="movable"
            :reorderable="reorderable"
            :turned="turned"
            :words="solved.words"
            @drag="drag"
            @reorder="reorder"
            @choose="work.choose"
          />
          <div v-if="beside.length" class="views">
            <ViewDrawing
              v-for="(one, i) in beside"
              :key="i"
              :view="one"
              :chosen="chosen"
              :look-of="look"
              :tallest="122"
              @choose="work.choose"
            />
          </div>
        </div>
        <div class="under">
          <div class="from-above">
            <div class="plan"><TopDrawing :cut="solved.cut" :look-of="look" /></div>
            <PortionsField
              v-if="view.portions"
              :portions="view.portions"
              :solved="solved"
              :ways="worked?.ways ?? []"
              :error-at="work.errorAt"
              :disabled="disabled"
              @change="(portions) => work.edit({ portions })"
            />
          </div>
          <PartCard
            v-if="part"
            :work="work"
            :part="part"
            :formula-of="formulaOf"
            :disabled="disabled"
          />
          <p v-else class="pick quiet">
            Select a part on the cut or in the list to see its measures and their working.
          </p>
        </div>
      </template>
      <BuildStrip
        v-if="built?.stages.length"
        class="building"
        :stages="built.stages"
        :cut="built.cut"
        :look-of="look"
        :at="stageAt"
        @pick="(at) => (stageAt = at)"
      />
    </template>
  </section>
</template>

<style scoped>
.board {
  display: flex;
  flex-direction: column;
  gap: 10px;
}

.caption {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
}

.where {
  margin-left: auto;
}

.drawings.several {
  display: grid;
  gap: 14px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}

.views {
  align-content: start;
  display: grid;
  gap: 10px;
}

.under {
  align-items: start;
  display: grid;
  gap: 22px;
  grid-template-columns: minmax(230px, 290px) minmax(0, 1fr);
}

.building {
  background: var(--porcelain);
  bottom: -16px;
  flex: none;
  margin-top: auto;
  position: sticky;
}

.from-above {
  align-content: start;
  display: grid;
  gap: 10px;
}

.plan {
  display: grid;
  place-items: center;
}

.pick {
  border: 1px dashed var(--rule);
  border-radius: 12px;
  padding: 40px 24px;
  text-align: center;
}

.on-paper {
  display: none;
}

@media print {
  .on-paper {
    display: block;
  }

  .caption > :not(.where),
  .under > :not(.from-above) {
    display: none;
  }

  .building {
    background: none;
    position: static;
  }
}

@media (max-width: 760px) {
  .building {
    position: static;
  }

  .drawings.several,
  .under {
    grid-template-columns: minmax(0, 1fr) !important;
  }
}

@media (max-width: 1100px) {
  .under {
    gap: 12px;
    grid-template-columns: 206px minmax(0, 1fr);
  }
}
</style>
