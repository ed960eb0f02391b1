<script setup lang="ts">
/** What else it is called here, and which bare words mean it. */
import { ref } from 'vue'

import { refusalOf } from '../api/client'
import { useNaming } from '../api/names'
import type { Ingredient } from '../api/types'
import TextField from '../kit/TextField.vue'

const props = defineProps<{
  row: Ingredient
  names: string[]
  error: string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [names: string[]] }>()
const naming = useNaming()
const fresh = ref('')
const word = ref('')
const refusal = ref('')

function add() {
  const name = fresh.value.trim()
  if (name && !props.names.includes(name)) emit('change', [...props.names, name])
  fresh.value = ''
}

/** From now on the word means this, or is asked. */
async function mean(text: string, ingredient: string | null) {
  refusal.value = ''
  try {
    await naming.mean(text, ingredient)
    word.value = ''
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}
</script>

<template>
  <section class="names" aria-label="Names">
    <h3>Other names</h3>
    <ul v-if="names.length" class="list chips">
      <li v-for="name in names" :key="name" class="chip">
        <span>{{ name }}</span>
        <span v-if="row.shared[name]" class="quiet">
          · also {{ row.shared[name]?.join(', ') }}: it is asked which
        </span>
        <button
          v-if="!disabled"
          type="button"
          :aria-label="`Take out the name ${name}`"
          @click="
            emit(
              'change',
              names.filter((one) => one !== name),
            )
          "
        >
          ×
        </button>
      </li>
    </ul>
    <form v-if="!disabled" class="add" @submit.prevent="add">
      <TextField v-model="fresh" label="Another name for it" :error="error" />
      <button type="submit" class="deed small" :disabled="!fresh.trim()">Add the name</button>
    </form>
    <h3>Means it here</h3>
    <p v-if="!row.usual_for.length" class="quiet">
      No bare word, such as ‘butter’ or ‘cream’, means it in this kitchen.
    </p>
    <ul v-else class="list chips">
      <li v-for="one in row.usual_for" :key="one" class="chip usual">
        <span>‘{{ one }}’</span>
        <button
          v-if="!disabled"
          type="button"
          :aria-label="`‘${one}’ no longer means it`"
          @click="mean(one, null)"
        >
          ×
        </button>
      </li>
    </ul>
    <form v-if="!disabled" class="add" @submit.prevent="mean(word, row.id)">
      <TextField v-model="word" label="A bare word" :error="refusal || undefined" />
      <button type="submit" class="deed small" :disabled="!word.trim()">Let it mean this</button>
    </form>
  </section>
</template>

<style scoped>
.names {
  align-content: start;
  display: grid;
  gap: 8px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}

.chip {
  align-items: center;
  background: var(--porcelain-shade);
  border-radius: 999px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 1px 4px 1px 11px;
}

.chip.usual {
  background: var(--bronze-wash);
}

.chip button {
  background: none;
  border: 0;
  border-radius: 999px;
  color: var(--muted);
  cursor: pointer;
  min-height: 26px;
  min-width: 24px;
  padding: 0;
}

.chip button:hover {
  color: var(--brick);
}

.add {
  align-items: end;
  display: flex;
  gap: 8px;
}

.add > :first-child {
  flex: 1;
}

@media (pointer: coarse) {
  .chip button {
    min-height: 40px;
    min-width: 40px;
  }
}
</style>
