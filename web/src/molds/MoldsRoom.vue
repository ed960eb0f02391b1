<script setup lang="ts">
/** Molds by their inner measures, drawn to one scale. */
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import { house } from '../api/house'
import { type Shelves, useRows, useWrites } from '../api/shelves'
import ChoiceField from '../kit/ChoiceField.vue'
import EmptyState from '../kit/EmptyState.vue'
import { figure } from '../kit/format'
import RowList from '../kit/RowList.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { useSession } from '../shell/session'
import MoldEditor from './MoldEditor.vue'
import MoldFromFile from './MoldFromFile.vue'
import MoldOutline from './MoldOutline.vue'
import { reachOf } from './reach'

type MoldBrief = Shelves['molds']['brief']
const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows, left, more, isSuccess } = useRows('molds')
const { create } = useWrites('molds')

/** All outlines share one scale, so that sizes compare at a glance. */
const reach = computed(() => Math.max(1, ...rows.value.map((mold) => reachOf(mold.figures))))

const sought = ref<MoldBrief[] | null>(null)
const shown = computed(() => sought.value ?? rows.value)

/** What a new one may begin as, under the names they are asked for by. */
const starts = computed(() => house.value.forms.flatMap((one) => one.starts))
const begun = ref('')
const options = computed(() => starts.value.map(({ name }) => ({ value: name, label: name })))
const first = computed(
  () => starts.value.find(({ name }) => name === begun.value) ?? starts.value[0],
)
const reading = ref(false)

async function make(title: string) {
  if (!first.value) return
  try {
    const row = await create.mutateAsync({
      name: title,
      shape: first.value.shape,
      cavities: 1,
      note: '',
    })
    await router.push(`/molds/${row.id}`)
  } catch (error) {
    // Shown under the list.
    refusalOf(error)
  }
}
</script>

<template>
  <ZoneFrame :shown="props.id" shelf="Shelf" board="Molds" ticket="The mold">
    <template #shelf>
      <RowList
        :id="props.id"
        :items="rows"
        :left="left"
        room="molds"
        shelf="molds"
        noun="mold"
        hint="Find: tart, 18 cm, 1.2 to 1.5 l"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
        @more="more"
        @show="(items) => (sought = items)"
      >
        <template #make>Add a mold</template>
      </RowList>
      <label v-if="mayWrite" class="form">
        <span class="eyebrow">A new mold begins as</span>
        <ChoiceField
          :value="first?.name ?? ''"
          :options="options"
          show-search
          @change="(one) => (begun = String(one))"
        />
      </label>
      <button v-if="mayWrite" type="button" class="deed small file" @click="reading = true">
        From a drawing or a scan
      </button>
      <MoldFromFile v-if="reading" @close="reading = false" />
    </template>
    <template #default>
      <h1>Molds</h1>
      <p v-if="rows.length" class="quiet">
        Seen from above, and cut where the walls are not upright; all to one scale.
      </p>
      <div class="wall">
        <RouterLink
          v-for="row in shown"
          :key="row.id"
          :to="`/molds/${row.id}`"
          :class="['mold', { chosen: row.id === props.id }]"
        >
          <MoldOutline :figures="row.figures" :reach="reach" />
          <strong>{{ row.name }}</strong>
          <span class="quiet">{{ figure(row.figures.capacity_ml, 0) }} ml</span>
        </RouterLink>
      </div>
      <p v-if="rows.length && !shown.length" class="quiet">
        None like that hangs here. A volume is asked for as “1.2 to 1.5 l” or “over 500 ml”, a size
        as “18 cm” or “4 cm high”, a shape by its name.
      </p>
      <EmptyState
        v-if="isSuccess && !rows.length"
        title="No mold yet"
        text="Add one and enter its inner measures; printed sizes are nominal, so measure it."
      />
    </template>
    <template #ticket>
      <MoldEditor v-if="props.id" :id="props.id" :key="props.id" :disabled="!mayWrite" />
      <p v-else class="slip quiet">Choose a mold to see what it holds.</p>
    </template>
  </ZoneFrame>
</template>

<style scoped>
.form {
  display: grid;
  margin-top: 14px;
}

.file {
  margin-top: 10px;
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
