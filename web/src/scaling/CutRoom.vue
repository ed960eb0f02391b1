<script setup lang="ts">
/** What a dessert is cut from: the sheets themselves, piece by piece in the order of cutting. */
import { computed, reactive, ref, watch } from 'vue'

import { house } from '../api/house'
import type { Sheeted } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import EmptyState from '../kit/EmptyState.vue'
import NumberField from '../kit/NumberField.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import CutSheetDrawing from './CutSheetDrawing.vue'
import CutTicket from './CutTicket.vue'
import ScaleShelf from './ScaleShelf.vue'
import { type CutAsked, type CutTrim, useCutPlan, useLooks, useSheeted } from './useScaling'

type Side = 'length_mm' | 'width_mm' | 'edge_mm' | 'kerf_mm'
const props = defineProps<{ id: string }>()
const { dessert, look, error } = useLooks(() => props.id)
const count = ref<number>()
watch(
  () => props.id,
  () => (count.value = undefined),
)
const groups = useSheeted(
  () => props.id,
  () => count.value,
)
const chosen = ref('')
const keyOf = (one: Sheeted) => `${one.formula}/${one.thick_mm}`
const group = computed(() => {
  const found = groups.data.value ?? []
  return found.find((one) => keyOf(one) === chosen.value) ?? found[0]
})
/** What is entered of the sheet; what is not is as is usual. */
const entered = reactive<Partial<Record<Side, number>>>({})
const trim = ref<CutTrim>('thrown')
const fields = computed(() => house.value.scaling.sheet)
const valueOf = (name: string) =>
  entered[name as Side] ?? fields.value.find((one) => one.name === name)?.first ?? 0

const asked = computed<CutAsked | undefined>(() => {
  const one = group.value
  if (!one || !fields.value.length) return undefined
  return {
    formula: one.formula,
    thick_mm: one.thick_mm,
    ...(count.value ? { count: count.value } : {}),
    length_mm: valueOf('length_mm'),
    width_mm: valueOf('width_mm'),
    edge_mm: valueOf('edge_mm'),
    kerf_mm: valueOf('kerf_mm'),
    trim: trim.value,
  }
})
const cut = useCutPlan(
  () => props.id,
  () => asked.value,
)
const wrongAt = (name: string) => cut.problem.value?.at(name)
const several = computed(() => Boolean(dessert.value?.sizes.length))
const refused = computed(() => {
  const problem = cut.problem.value
  if (!problem) return undefined
  return [...fields.value.map((one) => one.name), 'count'].some((name) => problem.at(name))
    ? undefined
    : problem.message
})
</script>

<template>
  <ZoneFrame :shown="chosen" shelf="What" board="Sheets" ticket="What it takes">
    <template #shelf>
      <ScaleShelf :id="id" :name="dessert?.name" title="Cut from sheets" here="cut">
        <ul class="list groups" aria-label="What is cut">
          <li v-for="one in groups.data.value" :key="keyOf(one)">
            <button
              type="button"
              :class="['group', { taken: group && keyOf(one) === keyOf(group) }]"
              :aria-pressed="group && keyOf(one) === keyOf(group)"
              @click="chosen = keyOf(one)"
            >
              <strong>{{ one.name }}, {{ one.thick_mm }} mm</strong>
              <span v-for="piece in one.pieces" :key="piece.name + piece.says">
                {{ piece.count }} × {{ piece.says }}
              </span>
            </button>
          </li>
        </ul>
        <NumberField
          v-if="groups.data.value?.length"
          :label="several ? 'For how many of the first size' : 'For how many desserts'"
          :value="count ?? dessert?.count ?? 1"
          :error="wrongAt('count') ?? groups.error.value?.message"
          @commit="(v) => v !== null && (count = v)"
        />
        <div v-if="group" class="sides">
          <NumberField
            v-for="one in fields"
            :key="one.name"
            :label="one.label"
            :value="valueOf(one.name)"
            :unit="one.unit"
            :step="one.step"
            :error="wrongAt(one.name)"
            @commit="(v) => v !== null && (entered[one.name as Side] = v)"
          />
        </div>
        <label v-if="group" class="trim">
          <span class="eyebrow">What is left around them</span>
          <ChoiceField
            :value="trim"
            :options="house.scaling.trim.map((one) => ({ value: one.use, label: one.title }))"
            @change="(v) => (trim = v as CutTrim)"
          />
        </label>
      </ScaleShelf>
    </template>
    <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
    <EmptyState
      v-else-if="groups.isSuccess.value && !group"
      title="Nothing is cut from a sheet"
      text="Bases, discs, bands, petals, linings and roulades are. This dessert is poured, piped or filled."
    />
    <template v-else-if="group">
      <header class="over">
        <h2>{{ group.name }}</h2>
        <p class="quiet">numbered in the order of cutting, from the left edge</p>
      </header>
      <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
      <div
        v-if="cut.searching.value && cut.plan.value && !cut.plan.value.done"
        class="search"
        role="status"
      >
        <progress :value="cut.plan.value.turn" :max="cut.plan.value.turns" />
        <span>looking for a way with a sheet less</span>
        <button type="button" class="deed small" @click="cut.stop">Take it as it is</button>
      </div>
      <ol v-if="cut.plan.value" class="list sheets" :class="{ old: cut.problem.value }">
        <li v-for="(one, at) in cut.plan.value.sheets" :key="at">
          <CutSheetDrawing
            :plan="cut.plan.value"
            :sheet="one"
            :number="at + 1"
            :look="look(group.formula)"
          />
        </li>
      </ol>
    </template>
    <template #ticket>
      <CutTicket
        v-if="cut.plan.value && asked"
        :id="id"
        :plan="cut.plan.value"
        :asked="asked"
        :searching="cut.searching.value"
      />
    </template>
  </ZoneFrame>
</template>

<style scoped>
.groups {
  display: grid;
  gap: 5px;
}

.group {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  cursor: pointer;
  display: grid;
  padding: 6px 10px;
  text-align: left;
  width: 100%;
}

.group span {
  color: var(--muted);
  font-size: 13px;
}

.group.taken {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

.sides {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}

.trim :deep(.ant-select) {
  width: 100%;
}

.over {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-bottom: 10px;
}

.search {
  align-items: center;
  color: var(--muted);
  display: flex;
  font-size: 14px;
  gap: 10px;
  margin-bottom: 10px;
}

progress {
  accent-color: var(--bronze);
  height: 8px;
  width: 140px;
}

.sheets {
  display: grid;
  gap: 18px;
  padding-bottom: 16px;
}

.old {
  opacity: 0.45;
}
</style>
