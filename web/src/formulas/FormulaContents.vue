<script setup lang="ts">
/** What is in it, in per cent after cooking; what is unknown says whose make-up it needs. */
import { computed } from 'vue'

import type { Reading } from '../api/types'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{ contents: Reading['contents'] }>()
/** Everybody whose make-up is wanted, each once. */
const wanted = computed(() => [...new Set(props.contents.flatMap((one) => one.needs))])
const overcooked = computed(() => [...new Set(props.contents.flatMap((one) => one.overcooked))])
</script>

<template>
  <section aria-label="What is in it">
    <h3>What is in it</h3>
    <dl>
      <template v-for="one in contents" :key="one.name">
        <dt>{{ one.name }}</dt>
        <dd>
          <WorkedFigure
            v-if="one.working"
            :working="one.working"
            :text="figure(one.working.value, one.working.value < 1 ? 2 : 1)"
          />
          <span v-else class="wrong">unknown</span>
        </dd>
      </template>
    </dl>
    <p v-if="wanted.length" class="quiet">
      Unknown without the make-up of {{ wanted.join(', ') }}: enter it in the pantry.
    </p>
    <p v-if="overcooked.length" class="wrong">
      More cooks off than there is water in {{ overcooked.join(', ') }}: lower what is cooked off.
    </p>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  gap: 3px 12px;
  grid-template-columns: 1fr auto;
  margin: 6px 0 0;
}

dt {
  color: var(--muted);
}

dd {
  font-size: 16px;
  margin: 0;
  text-align: right;
}

p {
  margin-top: 4px;
}
</style>
