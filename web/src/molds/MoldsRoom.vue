<script setup lang="ts">
/** Rings and frames by their inner measures, drawn to one scale. */
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { useRows, useWrites } from '../api/shelves'
import type { MoldShape } from '../api/types'
import EmptyState from '../kit/EmptyState.vue'
import { figure } from '../kit/format'
import RowList from '../kit/RowList.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { useSession } from '../shell/session'
import MoldEditor from './MoldEditor.vue'
import MoldOutline from './MoldOutline.vue'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows, isSuccess } = useRows('molds')
const { create } = useWrites('molds')

/** All outlines share one scale, so that sizes compare at a glance. */
const reach = computed(() =>
  Math.max(1, ...rows.value.flatMap((one) => one.figures.outline.map(([x]) => Math.abs(x)))),
)

const NEW: Record<MoldShape['kind'], MoldShape> = {
  ring: { kind: 'ring', diameter_mm: 180, height_mm: 45 },
  frame: { kind: 'frame', length_mm: 300, width_mm: 200, height_mm: 45, corner_radius_mm: 0 },
}
const kind = ref<MoldShape['kind']>('ring')
const KINDS: { value: MoldShape['kind']; label: string }[] = [
  { value: 'ring', label: 'ring' },
  { value: 'frame', label: 'frame' },
]

async function make(title: string) {
  try {
    const row = await create.mutateAsync({ name: title, shape: NEW[kind.value], note: '' })
    await router.push(`/molds/${row.id}`)
  } catch {
    // Shown under the list.
  }
}
</script>

<template>
  <ZoneFrame :shown="props.id" shelf="Shelf" board="Molds" ticket="The mold">
    <template #shelf>
      <RowList
        :id="props.id"
        :items="rows"
        room="molds"
        shelf="molds"
        noun="mold"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
      >
        <template #make>Add a mold</template>
      </RowList>
      <p v-if="mayWrite" class="kind">
        <span class="eyebrow">A new mold is a</span>
        <SwitchRow
          label="A new mold is a"
          :value="kind"
          :choices="KINDS"
          :disabled="false"
          @change="(one) => (kind = one)"
        />
      </p>
    </template>
    <template #default>
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
    </template>
    <template #ticket>
      <MoldEditor v-if="props.id" :id="props.id" :key="props.id" :disabled="!mayWrite" />
      <p v-else class="slip quiet">Choose a mold to see what it holds.</p>
    </template>
  </ZoneFrame>
</template>

<style scoped>
.kind {
  align-items: center;
  display: flex;
  gap: 10px;
  margin-top: 12px;
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
</style>
