<script setup lang="ts">
/** Why nothing fits, and the ways out that were tried and do. */
import type { Conflict, EasedWay } from '../../api/types'

defineProps<{
  conflict: Conflict
  /** More ways out are being tried. */
  busy: boolean
  disabled: boolean
}>()
const emit = defineEmits<{ take: [way: EasedWay] }>()
</script>

<template>
  <section class="conflict" aria-label="Why nothing fits" role="alert">
    <h3>These cannot be met together</h3>
    <ul>
      <li v-for="(one, at) in conflict.demands" :key="at">{{ one.says }}</li>
    </ul>
    <p class="quiet">
      {{
        conflict.least
          ? 'Each is needed for that: give up any one, and the others go together.'
          : 'There may be fewer: not all was settled in time.'
      }}
    </p>
    <template v-if="conflict.ways?.length">
      <h3>Tried, and it fits</h3>
      <div v-for="(way, at) in conflict.ways" :key="at" class="way">
        <span>
          <strong>{{ way.says }}</strong><template v-if="way.first"
            >: first hands {{ way.first }}</template
          >
        </span>
        <button v-if="!disabled" type="button" class="deed small" @click="emit('take', way)">
          Take it
        </button>
      </div>
    </template>
    <p v-else-if="!busy">Nothing that was tried is enough by itself.</p>
    <p v-if="busy" class="quiet">Trying ways out …</p>
    <p v-if="conflict.tried?.length" class="quiet">
      Tried, and not enough: {{ conflict.tried.join('; ') }}.
    </p>
  </section>
</template>

<style scoped>
.conflict {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  display: grid;
  gap: 6px;
  padding: 10px 14px;
}

h3 {
  color: var(--amber);
  margin: 2px 0 0;
}

ul {
  margin: 0;
  padding-left: 18px;
}

.way {
  align-items: center;
  background: var(--paper);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  display: flex;
  gap: 8px;
  justify-content: space-between;
  padding: 6px 10px;
}
</style>
