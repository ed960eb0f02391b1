<script setup lang="ts">
/** A typed line that asks something: which of these, or what to do so that it can be weighed. */
import type { LineChoice } from '../api/types'
import LineChoices from './LineChoices.vue'
import type { Waiting } from './useTypedLines'

defineProps<{ id: string; line: Waiting; picked: number; more: number }>()
const emit = defineEmits<{
  choose: [choice: LineChoice]
  edit: []
  leave: []
  again: []
  stock: [name: string]
}>()
const weighable = (choices: LineChoice[]) => choices.filter((one) => one.mass_g !== null)
</script>

<template>
  <section class="open" role="group" :aria-label="`About ‘${line.text}’`">
    <p>
      <strong>{{ line.text }}</strong>
      <span v-if="more" class="quiet"> · {{ more }} more to settle</span>
    </p>
    <p aria-live="polite" :class="{ wrong: line.failed }">{{ line.failed || line.read?.asks }}</p>
    <LineChoices
      v-if="line.read && weighable(line.read.choices).length"
      :id="id"
      :choices="weighable(line.read.choices)"
      :picked="picked"
      :label="`What ‘${line.text}’ may be`"
      @choose="(one) => emit('choose', one)"
    />
    <p class="deeds">
      <button v-if="line.failed" type="button" class="deed small main" @click="emit('again')">
        Read it again
      </button>
      <button type="button" class="deed small" @click="emit('edit')">Write it otherwise</button>
      <RouterLink
        v-for="one in line.read?.choices.filter((it) => it.mass_g === null && !it.is_formula)"
        :key="one.id"
        class="deed small"
        :to="`/pantry/${one.id}`"
      >
        {{ one.name }} in the pantry
      </RouterLink>
      <button
        v-if="line.read?.name && !line.read.choices.some((one) => one.lacks)"
        type="button"
        class="deed small"
        @click="emit('stock', line.read.name)"
      >
        Add ‘{{ line.read.name }}’ to the pantry
      </button>
      <button type="button" class="deed small" @click="emit('leave')">Leave it out</button>
    </p>
  </section>
</template>

<style scoped>
.open {
  background: var(--paper);
  border: 1px solid var(--bronze);
  border-radius: var(--round);
  display: grid;
  gap: 6px;
  margin-top: 6px;
  padding: 10px 12px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.deeds .deed {
  text-decoration: none;
}
</style>
