<script setup lang="ts">
/** What else to know of it: by the cup, in the pot, whether it holds. */
import type { Reading } from '../../api/types'
import { useWorking } from '../../kit/working'

defineProps<{ asides: Reading['asides'] }>()
const { show } = useWorking()
</script>

<template>
  <section v-if="asides.length" aria-label="Good to know">
    <h3>Good to know</h3>
    <ul class="list">
      <li v-for="(one, i) in asides" :key="i">
        <span class="name">
          <span v-if="one.holds !== null" :class="['mark', { no: !one.holds }]" aria-hidden="true">
            {{ one.holds ? '✓' : '✕' }}
          </span>
          {{ one.name }}
        </span>
        <button
          v-if="one.working"
          type="button"
          :class="['says', { no: one.holds === false }]"
          :title="`How ${one.working.figure} comes about`"
          @click="show(one.working)"
        >
          {{ one.says }}
        </button>
        <span v-else class="says">{{ one.says }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  align-items: baseline;
  border-top: 1px solid var(--rule);
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  justify-content: space-between;
  padding: 4px 0;
}

li:first-child {
  border-top: 0;
}

.name {
  color: var(--muted);
}

.mark {
  color: var(--fern);
  font-weight: 700;
}

.mark.no,
.says.no {
  color: var(--amber);
}

.says {
  font-weight: 600;
  margin-left: auto;
  text-align: right;
}

button.says {
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--leaf-strong);
  cursor: help;
  padding: 0;
}
</style>
