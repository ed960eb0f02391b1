<script setup lang="ts">
/** The dessert's name, its parts from the top down, and what it is made in. */
import { MenuItem } from 'ant-design-vue/es/menu'
import Select from 'ant-design-vue/es/select'
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'

import { useRows } from '../api/shelves'
import type { DessertBrief, FormulaBrief, Part } from '../api/types'
import { clock } from '../kit/format'
import RowMenu from '../kit/RowMenu.vue'
import TextField from '../kit/TextField.vue'
import PartList from './PartList.vue'
import {
  type Chosen,
  moldWords,
  moved,
  newKey,
  type PartRow,
  withNew,
  without,
  withPart,
} from './parts'
import { propose, refit, type useDessert } from './useDessert'
import type { useUndo } from './useUndo'

const AddPart = defineAsyncComponent(() => import('./AddPart.vue'))

const props = defineProps<{
  id: string
  dessert: ReturnType<typeof useDessert>
  edit: ReturnType<typeof useUndo>['edit']
  desserts: DessertBrief[]
  formulas: FormulaBrief[]
  rows: PartRow[]
  chosen: Chosen | null
  formulaOf: (id: string) => FormulaBrief | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ choose: [chosen: Chosen]; make: [] }>()
const router = useRouter()
const { rows: molds } = useRows('molds')
const adding = shallowRef<{ layerOf: string | undefined } | null>(null)
const renaming = ref<string | null>(null)
const refusal = ref('')

const draft = computed(() => props.dessert.draft.value)
const parts = computed(() => draft.value?.parts ?? [])
const insert = computed(() => {
  const part = parts.value.find((one) => one.key === props.chosen?.part)
  return part?.rule === 'insert' ? part : null
})
const filled = computed(() => parts.value.some((part) => part.rule === 'fill'))
const moldOptions = computed(() =>
  molds.value.map((one) => ({ value: one.id, label: one.name, title: moldWords(one.shape) })),
)
const dessertOptions = computed(() =>
  props.desserts.map((one) => ({ value: one.id, label: one.name })),
)
const status = computed(() => {
  if (props.dessert.saving.value) return 'saving …'
  if (props.dessert.problem.value) return 'not saved'
  const at = props.dessert.row.value?.changed_at
  return at ? `saved ${clock(at)}` : ''
})

async function guarded(work: () => Promise<void>) {
  refusal.value = ''
  try {
    await work()
  } catch (error) {
    refusal.value = (error as Error).message
  }
}

/** A new part, or a new layer on top of the selected insert. */
const add = (rule: Part['rule'], formula: string) =>
  guarded(async () => {
    if (!draft.value) return
    const key = newKey()
    const into = adding.value?.layerOf ? insert.value?.key : undefined
    const part = await propose(draft.value, { rule, into, key, formula })
    adding.value = null
    await props.edit({ parts: into ? withPart(parts.value, part) : withNew(parts.value, part) })
    emit('choose', { part: part.key, layer: into ? key : null })
  })

const changeMold = (mold: string) =>
  guarded(async () => {
    if (!draft.value) return
    const fitted = await refit(draft.value, mold)
    await props.edit({ mold, parts: fitted.parts, portions: fitted.portions })
  })

function rename() {
  const name = renaming.value?.trim()
  renaming.value = null
  if (name && name !== draft.value?.name) void props.edit({ name })
}
</script>

<template>
  <aside v-if="draft" aria-label="Parts">
    <div class="which">
      <TextField
        v-if="renaming !== null"
        v-model="renaming"
        label="Name"
        class="choose"
        @keydown.enter="rename"
        @focusout="rename"
      />
      <label v-else class="choose title">
        <span class="unseen">Dessert</span>
        <Select
          :bordered="false"
          :value="id"
          :options="dessertOptions"
          @change="(to) => router.push(`/desserts/${to}`)"
        />
      </label>
      <RowMenu :id="id" kind="desserts" :name="draft.name" room="desserts">
        <MenuItem v-if="!disabled" key="new" @click="emit('make')">Draw a new dessert</MenuItem>
        <MenuItem v-if="!disabled" key="name" @click="renaming = draft.name">Rename</MenuItem>
      </RowMenu>
    </div>
    <p class="quiet">Entremet, built upright · {{ status }}</p>
    <p v-if="dessert.problem.value?.at('name')" class="wrong">
      {{ dessert.problem.value.at('name') }}
    </p>

    <p v-if="rows.length" class="heads eyebrow">
      <span>From the top down</span><span>height</span>
    </p>
    <p v-else class="hint">
      An empty mold. Lay in a base first, then a heart, then fill the rest with mousse.
    </p>
    <PartList
      :rows="rows"
      :chosen="chosen"
      :formula-of="formulaOf"
      :disabled="disabled"
      @choose="(row) => emit('choose', row)"
      @move="(row, by) => edit({ parts: moved(parts, row, by) })"
      @remove="(row) => edit({ parts: without(parts, row) })"
    />
    <div v-if="!disabled" class="adding">
      <button type="button" class="deed dashed" @click="adding = { layerOf: undefined }">
        Add a part
      </button>
      <button
        v-if="insert"
        type="button"
        class="deed dashed"
        @click="adding = { layerOf: insert.name || 'the heart' }"
      >
        Add a layer to the heart
      </button>
    </div>
    <label class="made-in">
      <span class="eyebrow">Made in</span>
      <Select
        :value="draft.mold"
        :options="moldOptions"
        :disabled="disabled"
        class="mold"
        @change="(to) => changeMold(String(to))"
      />
      <span class="quiet">Parts keep their gap to the wall.</span>
    </label>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <AddPart
      v-if="adding"
      :formulas="formulas"
      :filled="filled"
      :layer-of="adding.layerOf"
      @add="add"
      @close="adding = null"
    />
  </aside>
</template>

<style scoped>
.which {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px;
}

.choose {
  flex: 1 1 90px;
  min-width: 0;
}

.title :deep(.ant-select) {
  width: 100%;
}

.title :deep(.ant-select-selector) {
  height: auto !important;
  padding-left: 0 !important;
}

.title :deep(.ant-select-selection-item) {
  font: 700 25px/1.15 var(--face-display);
  overflow-wrap: anywhere;
  padding-block: 3px;
  white-space: normal;
}

.heads {
  display: flex;
  justify-content: space-between;
  margin: 16px 9px 4px;
}

.hint {
  color: var(--muted);
  margin: 16px 0;
}

.adding {
  display: grid;
  gap: 8px;
  margin-top: 10px;
}

.made-in {
  display: block;
  margin-top: 18px;
}

.mold {
  width: 100%;
}
</style>
