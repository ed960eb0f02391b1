<script setup lang="ts">
/** Ingredients pasted as a list: shown line by line before any of them is written, all or none. */
import { Textarea } from 'ant-design-vue/es/input'
import Modal from 'ant-design-vue/es/modal'
import { computed, ref, watch } from 'vue'

import { api, Problem, take } from '../api/client'
import { useWrites } from '../api/shelves'
import type { PastedIngredient } from '../api/types'
import { figure } from '../kit/format'

const emit = defineEmits<{ close: [] }>()
const { createMany } = useWrites('ingredients')
const text = ref('')
const read = ref<PastedIngredient[] | null>(null)
const refusal = ref('')
watch(text, () => (read.value = null))

async function guarded(work: () => Promise<void>) {
  refusal.value = ''
  try {
    await work()
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    refusal.value = error.detail
  }
}
const look = () =>
  guarded(async () => {
    const body = { text: text.value }
    read.value = await take<PastedIngredient[]>(api.POST('/api/ingredients/read-list', { body }))
  })

const fresh = computed(() => (read.value ?? []).filter((one) => !one.refusal && !one.there))
const add = () =>
  guarded(async () => {
    const rows = fresh.value.map(({ name, density_g_ml }) => ({ name, density_g_ml }))
    await createMany.mutateAsync(rows)
    emit('close')
  })
</script>

<template>
  <Modal open title="Paste ingredients" :footer="null" width="600px" @cancel="emit('close')">
    <div class="paste">
      <label class="text">
        <span class="eyebrow">One a line; its density in g/ml beside it, where you know it</span>
        <Textarea
          v-model:value="text"
          :auto-size="{ minRows: 4, maxRows: 10 }"
          placeholder="Medlar purée, 1.05"
        />
      </label>
      <ul v-if="read" class="list lines" aria-label="What was understood">
        <li v-for="(line, i) in read" :key="i">
          <span>{{ line.name || line.text }}</span>
          <span v-if="line.refusal" class="wrong">{{ line.refusal }}</span>
          <span v-else-if="line.there" class="quiet">is there already, left out</span>
          <span v-else class="quiet">
            {{
              line.density_g_ml === null
                ? 'new, density unknown'
                : `new, ${figure(line.density_g_ml, 2)} g/ml`
            }}
          </span>
        </li>
      </ul>
      <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
      <!-- One button for both steps: it keeps the focus. -->
      <div>
        <button
          type="button"
          class="deed main"
          :disabled="read ? !fresh.length : !text.trim()"
          @click="read ? add() : look()"
        >
          {{ read ? `Add ${fresh.length} to the pantry` : 'Show what is understood' }}
        </button>
      </div>
    </div>
  </Modal>
</template>

<style scoped>
.paste {
  display: grid;
  gap: 12px;
}

.text {
  display: grid;
  gap: 3px;
}

.lines {
  max-height: 46vh;
  overflow-y: auto;
}

li {
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 16px;
  justify-content: space-between;
  padding: 5px 0;
}
</style>
