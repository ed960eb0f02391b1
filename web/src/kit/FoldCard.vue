<script setup lang="ts">
/** Something that need not be seen all the time; whether it is open is remembered. */
import { ref } from 'vue'

const props = defineProps<{ title: string; aside?: string | undefined; name: string }>()
const KEY = `fernbell.fold.${props.name}`
const open = ref(localStorage.getItem(KEY) === 'open')
function toggle() {
  open.value = !open.value
  localStorage.setItem(KEY, open.value ? 'open' : 'closed')
}
</script>

<template>
  <section class="fold" :aria-label="title">
    <button type="button" class="head" :aria-expanded="open" @click="toggle">
      <span class="turn-mark" :class="{ open }" aria-hidden="true">›</span>
      <strong>{{ title }}</strong>
      <span v-if="aside && !open" class="quiet">{{ aside }}</span>
    </button>
    <div v-if="open" class="inside"><slot /></div>
  </section>
</template>

<style scoped>
.fold {
  /* What is said beside the title is cut off, not the card made wider. */
  min-width: 0;
  border-top: 1px solid var(--rule);
}

.head {
  align-items: baseline;
  background: none;
  border: 0;
  color: var(--fern);
  cursor: pointer;
  display: flex;
  gap: 8px;
  min-height: 36px;
  padding: 4px 0;
  text-align: left;
  width: 100%;
}

.head strong {
  white-space: nowrap;
}

.head .quiet {
  margin-left: auto;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.turn-mark {
  color: var(--bronze-text);
  transition: transform 0.12s;
}

.turn-mark.open {
  transform: rotate(90deg);
}

.inside {
  display: grid;
  gap: 10px;
  padding-bottom: 10px;
}

@media (pointer: coarse) {
  .head {
    min-height: 44px;
  }
}
</style>
