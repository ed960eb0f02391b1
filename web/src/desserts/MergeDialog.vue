<script setup lang="ts">
/** Two versions part by part: choose for each what is kept, then save one of both. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import { useKnown } from '../api/known'
import { house, numberAt, ruleWords } from '../api/house'
import type {
  DessertEntry,
  FieldWords,
  FormulaLook,
  HeldEntry,
  Layer,
  Part,
  SizeEntry,
} from '../api/types'
import { type Difference, differences, firstChoices, merged, type Side } from './merge'
import { isLayered } from './parts'
import type { useDessert } from './useDessert'

const props = defineProps<{
  dessert: ReturnType<typeof useDessert>
  formulaOf: (id: string) => FormulaLook | undefined
}>()
const emit = defineEmits<{ close: [] }>()
/** Both as they were when the dialog opened. */
const mine = props.dessert.draft.value as DessertEntry
const theirs = props.dessert.theirs.value as DessertEntry
const who = props.dessert.problem.value?.stale.changed_by ?? 'Somebody'
const found = differences(props.dessert.base.value, mine, theirs)
const choices = ref(firstChoices(found))
const clashes = computed(() => found.filter((one) => one.by === 'both').length)

const FIELD_WORDS: Record<string, string> = {
  name: 'Name',
  mold: 'Made in',
  built: 'Built',
  portions: 'Portions',
  count: 'How many',
  sizes: 'Other sizes',
  holds: 'Desserts with it',
  order: 'Order of the parts',
}
const heldOf = useKnown('desserts', () =>
  [mine, theirs].flatMap((entry) => (entry.holds ?? []).map((one) => one.dessert)),
)
const heldName = (id: string) => heldOf(id)?.name ?? 'a dessert'
const formulaName = (id: string) => props.formulaOf(id)?.name ?? 'Unknown'

function partName(part: Part): string {
  if (isLayered(part)) return part.name || part.layers.map(layerName).join(' on ')
  return part.name || formulaName(part.formula)
}
const layerName = (layer: Layer) => layer.name || formulaName(layer.formula)

function measures(of: object, list: FieldWords[] = []): string {
  return list
    .flatMap((one) => {
      const value = numberAt(of, one)
      return value === null ? [] : [`${one.label.toLowerCase()} ${value} ${one.unit}`.trim()]
    })
    .join(', ')
}

function partWords(part: Part | undefined): string {
  if (!part) return 'not in it'
  const words = ruleWords(part.rule)
  const own = measures(part, words?.fields)
  if (!isLayered(part)) return [formulaName(part.formula), own].filter(Boolean).join('; ')
  const layers = part.layers.map(
    (layer) => `${layerName(layer)} ${measures(layer, words?.layer_fields)}`,
  )
  return `${layers.join('; ')}; ${own}`
}

function title(one: Difference): string {
  const part = (one.mine ?? one.theirs) as Part
  return FIELD_WORDS[one.key] ?? `${partName(part)} (${ruleWords(part.rule)?.title.toLowerCase()})`
}

const moldOf = useKnown('molds', () =>
  [mine, theirs].flatMap((one) => [one.mold, ...(one.sizes ?? []).map(({ mold }) => mold)]),
)
const moldName = (id: string) => moldOf(id)?.name ?? 'Unknown'
const sizeWords = (one: SizeEntry) =>
  `${one.count ?? 1} × ${moldName(one.mold)}${one.parts ? ', drawn on its own' : ''}`

function portionWords(portions: DessertEntry['portions']): string {
  if (!portions) return 'as usual'
  const way = house.value.ways.find((one) => one.cut === portions.cut)
  return `${way?.title.toLowerCase()}: ${measures(portions, way?.fields)}`
}

function words(one: Difference, side: Side): string {
  const value = one[side]
  if (one.key.startsWith('part/')) return partWords(value as Part | undefined)
  if (one.key === 'mold') return moldName(String(value))
  if (one.key === 'portions') return portionWords(value as DessertEntry['portions'])
  if (one.key === 'holds') {
    const held = value as HeldEntry[]
    return held.map((own) => `${own.each} × ${heldName(own.dessert)}`).join(', ') || 'none'
  }
  if (one.key === 'sizes') return (value as SizeEntry[]).map(sizeWords).join('; ') || 'none'
  if (one.key === 'order') {
    const entry = side === 'mine' ? mine : theirs
    return (entry.parts ?? []).map(partName).join(', ')
  }
  return String(value ?? '–')
}

async function save() {
  await props.dessert.insist(merged(mine, theirs, choices.value))
  emit('close')
}

const SIDES: Side[] = ['mine', 'theirs']
</script>

<template>
  <Modal
    open
    title="Two versions, part by part"
    :footer="null"
    width="760px"
    @cancel="emit('close')"
  >
    <p class="quiet">
      {{ who }} saved while you worked. What only one of you changed is taken from whoever changed
      it<template v-if="clashes">; {{ clashes }} you both changed, so choose</template>.
    </p>
    <table>
      <thead>
        <tr class="eyebrow">
          <th scope="col">what</th>
          <th scope="col">mine</th>
          <th scope="col">{{ who }}’s</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in found" :key="one.key" :class="{ clash: one.by === 'both' }">
          <th scope="row">{{ title(one) }}</th>
          <td v-for="side in SIDES" :key="side" :class="{ taken: choices[one.key] === side }">
            <label>
              <input v-model="choices[one.key]" type="radio" :name="one.key" :value="side" />
              {{ words(one, side) }}
            </label>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="!found.length" class="quiet">Both say the same.</p>
    <div class="ends">
      <button type="button" class="deed main" @click="save">Save what is chosen</button>
      <button type="button" class="deed" @click="emit('close')">Decide later</button>
    </div>
  </Modal>
</template>

<style scoped>
table {
  border-collapse: collapse;
  margin: 12px 0;
  width: 100%;
}

tr {
  border-bottom: 1px solid var(--rule);
}

th {
  font-weight: 600;
  padding: 7px 10px 7px 0;
  text-align: left;
  vertical-align: top;
  width: 26%;
}

td {
  padding: 7px 10px;
  vertical-align: top;
  width: 37%;
}

td.taken {
  background: var(--leaf);
}

.clash td.taken {
  background: var(--bronze-wash);
}

.clash th::after {
  color: var(--bronze-text);
  content: 'both changed it';
  display: block;
  font-size: 12.5px;
}

label {
  cursor: pointer;
}

.ends {
  display: flex;
  gap: 10px;
}
</style>
