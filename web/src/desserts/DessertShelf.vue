<script setup lang="ts">
/** The dessert's name, its parts from the top down, and the sizes it is made in. */
import { MenuItem } from 'ant-design-vue/es/menu'
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import type { Built, FormulaLook, Part } from '../api/types'
import RowChoice from '../kit/RowChoice.vue'
import { clock } from '../kit/format'
import RowMenu from '../kit/RowMenu.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import TextField from '../kit/TextField.vue'
import { useCommands } from '../shell/commands'
import HeldField from './HeldField.vue'
import PartList from './PartList.vue'
import { droppedOn, isLayered, moved, newKey, withAll, withNew, without, withPart } from './parts'
import SizesField from './SizesField.vue'
import type { Composing } from './useComposing'
import { place, propose, refit } from './useDessert'

const AddPart = defineAsyncComponent(() => import('./AddPart.vue'))

const props = defineProps<{
  id: string
  work: Composing
  formulaOf: (id: string) => FormulaLook | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ make: [] }>()
const router = useRouter()
const { dessert, view, rows, chosen, part, edit } = props.work
const adding = shallowRef<{ layerOf: string | undefined } | null>(null)
const renaming = ref<string | null>(null)
const refusal = ref('')

const parts = computed(() => view.value?.parts ?? [])
const layered = computed(() => (isLayered(part.value) ? part.value : null))
const present = computed(() => parts.value.map((one) => one.rule))
const status = computed(() => {
  if (dessert.problem.value) return 'not saved'
  if (dessert.saving.value) return 'saving …'
  const at = dessert.row.value?.changed_at
  return at ? `saved ${clock(at)}` : ''
})
const BUILT: { value: Built; label: string }[] = [
  { value: 'upright', label: 'Upright' },
  { value: 'upside down', label: 'Upside down' },
]

/** A dessert just drawn asks for its first part by itself, also if it was shown before. */
const route = useRoute()
watch(
  [() => props.id, () => route.fullPath],
  () => {
    if (!(history.state as { fresh?: boolean }).fresh || props.disabled || rows.value.length) return
    history.replaceState({ ...history.state, fresh: false }, '')
    adding.value = { layerOf: undefined }
  },
  { immediate: true },
)

async function guarded(work: () => Promise<void>) {
  refusal.value = ''
  try {
    await work()
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}

/** A new part, or a new layer on top of the selected insert. */
const add = (rule: Part['rule'], formula: string, write: boolean) =>
  guarded(async () => {
    if (!view.value) return
    const key = newKey()
    const into = adding.value?.layerOf ? layered.value?.key : undefined
    const one = await propose(view.value, { rule, into, key, formula })
    adding.value = null
    await edit({ parts: into ? withPart(parts.value, one) : withNew(parts.value, one) })
    props.work.choose({ part: one.key, layer: into ? key : null })
    if (write) await router.push(`/formulas/${formula}`)
  })

const addStack = (stack: string, count: number) =>
  guarded(async () => {
    if (!view.value) return
    const keys = Array.from({ length: count }, newKey)
    const placed = await place(view.value, stack, keys)
    adding.value = null
    await edit({ parts: withAll(parts.value, placed) })
    props.work.choose({ part: keys[0] ?? '', layer: null })
  })

const changeMold = (mold: string) =>
  guarded(async () => {
    if (!view.value) return
    // A size that follows the first goes on following it in its new mold.
    if (props.work.follows.value) return edit({ mold })
    const fitted = await refit(view.value, mold)
    await edit({ mold, parts: fitted.parts, portions: fitted.portions })
  })

function rename() {
  const name = renaming.value?.trim()
  renaming.value = null
  if (name && name !== view.value?.name) void edit({ name })
}

useCommands(() =>
  props.disabled
    ? []
    : [
        { name: 'Add a part', keys: 'a', run: () => (adding.value = { layerOf: undefined }) },
        ...(layered.value
          ? [
              {
                name: 'Add a layer to it',
                keys: 'l',
                run: () => (adding.value = { layerOf: layered.value?.name || 'the insert' }),
              },
            ]
          : []),
        { name: 'Rename this dessert', run: () => (renaming.value = view.value?.name ?? '') },
      ],
)
</script>

<template>
  <aside v-if="view" aria-label="Parts">
    <div class="which">
      <TextField
        v-if="renaming !== null"
        v-model="renaming"
        label="Name"
        class="choose"
        @keydown.enter="rename"
        @focusout="rename"
      />
      <label v-else :class="['choose', 'title', { long: view.name.length > 34 }]">
        <span class="unseen">Dessert</span>
        <RowChoice
          :bordered="false"
          :value="id"
          :label="view.name"
          shelf="desserts"
          @change="(to) => router.push(`/desserts/${to}`)"
        />
      </label>
      <RowMenu :id="id" shelf="desserts" :name="view.name" room="desserts">
        <MenuItem v-if="!disabled" key="new" @click="emit('make')">Draw a new dessert</MenuItem>
        <MenuItem v-if="!disabled" key="name" @click="renaming = view.name">Rename</MenuItem>
      </RowMenu>
    </div>
    <p class="quiet">{{ status }}</p>
    <div class="built">
      <span class="eyebrow">Built</span>
      <SwitchRow
        label="Built"
        :value="view.built ?? 'upright'"
        :choices="BUILT"
        :disabled="disabled"
        @change="(built) => edit({ built })"
      />
    </div>
    <p v-if="dessert.problem.value?.at('name')" class="wrong">
      {{ dessert.problem.value.at('name') }}
    </p>

    <p v-if="rows.length" class="heads eyebrow">
      <span>From the top down</span><span>height</span>
    </p>
    <p v-else class="hint">
      An empty mold. Lay in a base first, then an insert, then fill the rest with mousse.
    </p>
    <PartList
      :rows="rows"
      :chosen="chosen"
      :formula-of="formulaOf"
      :disabled="disabled"
      @choose="props.work.choose"
      @move="(row, by) => edit({ parts: moved(parts, row, by) })"
      @drop="(from, to) => edit({ parts: droppedOn(parts, rows, from, to) })"
      @remove="(row) => edit({ parts: without(parts, row) })"
    />
    <div v-if="!disabled" class="adding">
      <button type="button" class="deed dashed" @click="adding = { layerOf: undefined }">
        Add a part
      </button>
      <button
        v-if="layered"
        type="button"
        class="deed dashed"
        @click="adding = { layerOf: layered.name || 'the insert' }"
      >
        Add a layer to it
      </button>
    </div>
    <HeldField :id="id" :work="work" :disabled="disabled" />
    <SizesField :work="work" :disabled="disabled" @mold="changeMold" />
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <AddPart
      v-if="adding"
      :present="present"
      :expects="work.worked.value?.expects"
      :layer-of="adding.layerOf"
      :rule="layered?.rule"
      :refusal="refusal"
      @add="add"
      @stack="addStack"
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

.title.long :deep(.ant-select-selection-item) {
  font-size: 17px;
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

.built {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  margin-top: 6px;
}
</style>
