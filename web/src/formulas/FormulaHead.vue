<script setup lang="ts">
/** Name, kind and color of a formula, and what can be done with the row. */
import { computed, ref, watch } from 'vue'

import type { FormulaEntry } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import { house } from '../api/house'
import { FLAVORS } from '../kit/flavors'
import LookSwatch from '../kit/LookSwatch.vue'
import RowMenu from '../kit/RowMenu.vue'
import TextField from '../kit/TextField.vue'

const props = defineProps<{
  id: string
  entry: FormulaEntry
  /** The color of what it is mostly made of. */
  color: string
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>] }>()
const name = ref('')
watch(
  () => props.entry.name,
  (now) => (name.value = now),
  { immediate: true },
)
const kinds = computed(() =>
  house.value.formulas.kinds.map(({ kind }) => ({ value: kind, label: kind })),
)
const flavors = Object.keys(FLAVORS).map((value) => ({ value, label: value.replace('-', ' ') }))

function rename() {
  if (name.value.trim() && name.value !== props.entry.name) {
    emit('change', { name: name.value.trim() })
  }
}
</script>

<template>
  <header>
    <LookSwatch
      :formula="{ kind: entry.kind ?? '', flavor: entry.flavor ?? '', color }"
      :size="34"
    />
    <TextField
      v-model="name"
      label="Formula"
      class="name"
      :disabled="disabled"
      :error="errorAt('name')"
      @focusout="rename"
      @keydown.enter="rename"
    />
    <label class="choice">
      <span class="eyebrow">Kind</span>
      <ChoiceField
        :value="entry.kind || undefined"
        :options="kinds"
        :disabled="disabled"
        placeholder="kind"
        @change="(kind) => emit('change', { kind: String(kind), job: '' })"
      />
    </label>
    <label class="choice">
      <span class="eyebrow">Color</span>
      <ChoiceField
        :value="entry.flavor || undefined"
        :options="flavors"
        :disabled="disabled"
        placeholder="by its lines"
        @change="(flavor) => emit('change', { flavor: String(flavor) })"
      />
    </label>
    <RowMenu :id="id" shelf="formulas" :name="entry.name" room="formulas" />
  </header>
</template>

<style scoped>
header {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}

.name {
  flex: 1 1 200px;
}

.name :deep(input) {
  font: 700 20px var(--face-display);
}

.choice {
  display: grid;
  width: 128px;
}

.choice :deep(.ant-select) {
  min-width: 0;
  width: 100%;
}

@media (max-width: 1100px) {
  header {
    gap: 8px;
  }

  .name {
    flex-basis: 150px;
  }

  .name :deep(input) {
    font-size: 17px;
  }

  .choice {
    width: 104px;
  }
}
</style>
