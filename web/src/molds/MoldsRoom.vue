<script setup lang="ts">
/** Rings and frames by their inner measures, drawn to one scale. */
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { useDraft } from '../api/draft'
import { useRows, useWrites } from '../api/shelves'
import type { Mold, MoldEntry, MoldShape } from '../api/types'
import EmptyState from '../kit/EmptyState.vue'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import RowList from '../kit/RowList.vue'
import RowMenu from '../kit/RowMenu.vue'
import SaveNotice from '../kit/SaveNotice.vue'
import TextField from '../kit/TextField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useSession } from '../shell/session'
import FillTrial from './FillTrial.vue'
import MoldOutline from './MoldOutline.vue'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows, isSuccess } = useRows('molds')
const { create } = useWrites('molds')

function entryOf(row: Mold): MoldEntry {
  const { name, shape, note } = row
  return { name, shape, note }
}
const mold = useDraft('molds', () => props.id || undefined, entryOf)
const entry = computed(() => mold.draft.value)
const figures = computed(() => mold.row.value?.figures)
const errorAt = (field: string) => mold.problem.value?.at(field)
const name = ref('')
watch(
  () => entry.value?.name,
  (now) => (name.value = now ?? ''),
  { immediate: true },
)

const MEASURES = {
  ring: [
    ['diameter_mm', 'Diameter, inside'],
    ['height_mm', 'Height'],
  ],
  frame: [
    ['length_mm', 'Length, inside'],
    ['width_mm', 'Width, inside'],
    ['height_mm', 'Height'],
    ['corner_radius_mm', 'Corner radius'],
  ],
} as const
const measures = computed(() => MEASURES[entry.value?.shape.kind ?? 'ring'])
const valueOf = (shape: MoldShape, field: string) =>
  Number((shape as unknown as Record<string, number>)[field])

/** All outlines share one scale, so that sizes compare at a glance. */
const reach = computed(() =>
  Math.max(1, ...rows.value.flatMap((one) => one.figures.outline.map(([x]) => Math.abs(x)))),
)

const NEW: Record<MoldShape['kind'], MoldShape> = {
  ring: { kind: 'ring', diameter_mm: 180, height_mm: 45 },
  frame: { kind: 'frame', length_mm: 300, width_mm: 200, height_mm: 45, corner_radius_mm: 0 },
}
const kind = ref<MoldShape['kind']>('ring')

async function make(title: string) {
  try {
    const row = await create.mutateAsync({ name: title, shape: NEW[kind.value], note: '' })
    await router.push(`/molds/${row.id}`)
  } catch {
    // Shown under the list.
  }
}

function measure(field: string, value: number) {
  if (entry.value) void mold.edit({ shape: { ...entry.value.shape, [field]: value } })
}

function rename() {
  if (entry.value && name.value !== entry.value.name) void mold.edit({ name: name.value })
}
</script>

<template>
  <div class="zones">
    <div class="zone-shelf">
      <RowList
        :id="props.id"
        :items="rows"
        room="molds"
        noun="mold"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
      >
        <template #make>Add a mold</template>
      </RowList>
      <fieldset v-if="mayWrite" class="kind">
        <legend class="eyebrow">A new mold is a</legend>
        <label v-for="one in ['ring', 'frame'] as const" :key="one">
          <input v-model="kind" type="radio" name="kind" :value="one" /> {{ one }}
        </label>
      </fieldset>
    </div>
    <section class="zone-board" aria-label="Molds">
      <h1>Molds</h1>
      <p v-if="rows.length" class="quiet">Seen from above, all to one scale.</p>
      <div class="wall">
        <RouterLink
          v-for="row in rows"
          :key="row.id"
          :to="`/molds/${row.id}`"
          :class="['mold', { chosen: row.id === props.id }]"
        >
          <MoldOutline :outline="row.figures.outline" :reach="reach" />
          <strong>{{ row.name }}</strong>
          <span class="quiet">{{ figure(row.figures.capacity.value, 0) }} ml</span>
        </RouterLink>
      </div>
      <EmptyState
        v-if="isSuccess && !rows.length"
        title="No mold yet"
        text="Add a ring or a frame and enter its inner measures; printed sizes are nominal, so measure it."
      />
    </section>
    <div class="zone-ticket">
      <section v-if="entry && props.id" class="slip" aria-label="Mold">
        <header>
          <h2>{{ entry.shape.kind === 'ring' ? 'Ring' : 'Frame' }}</h2>
          <RowMenu :id="props.id" kind="molds" :name="entry.name" room="molds" />
        </header>
        <SaveNotice
          v-if="mold.problem.value"
          :problem="mold.problem.value"
          @reload="mold.reload"
          @insist="mold.insist"
        />
        <TextField
          v-model="name"
          label="Name"
          :disabled="!mayWrite"
          :error="errorAt('name')"
          @focusout="rename"
          @keydown.enter="rename"
        />
        <div class="measures">
          <NumberField
            v-for="[field, label] in measures"
            :key="field"
            :label="label"
            unit="mm"
            :value="valueOf(entry.shape, field)"
            :disabled="!mayWrite"
            :error="errorAt(`shape.${field}`)"
            @commit="(v) => v !== null && measure(field, v)"
          />
        </div>
        <dl v-if="figures">
          <template
            v-for="one in [figures.capacity, figures.perimeter, figures.free_surface, figures.wall]"
            :key="one.figure"
          >
            <dt>{{ one.figure }}</dt>
            <dd><WorkedFigure :working="one" /></dd>
          </template>
        </dl>
        <FillTrial :id="props.id" :key="`${props.id}/${mold.row.value?.revision}`" />
      </section>
      <p v-else class="slip quiet">Choose a mold to see what it holds.</p>
    </div>
  </div>
</template>

<style scoped>
.kind {
  border: 0;
  display: flex;
  gap: 12px;
  margin: 12px 0 0;
  padding: 0;
}

.mold svg {
  align-self: center;
  margin-bottom: 8px;
}

.wall {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  margin-top: 12px;
}

.mold {
  border: 1px solid var(--rule);
  border-radius: 12px;
  color: var(--ink);
  display: grid;
  gap: 2px;
  grid-template-rows: 1fr auto auto;
  justify-items: center;
  padding: 14px 16px 10px;
  text-decoration: none;
}

.mold.chosen {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

.slip {
  align-content: start;
  display: grid;
  gap: 12px;
}

.slip header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
}

.measures {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}

dl {
  display: grid;
  gap: 4px 12px;
  grid-template-columns: 1fr auto;
  margin: 0;
}

dt {
  color: var(--muted);
}

dd {
  font-weight: 700;
  margin: 0;
}
</style>
