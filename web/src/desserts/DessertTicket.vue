<script setup lang="ts">
/** What it takes, for how many, and what is wrong. */
import { computed, defineAsyncComponent, ref } from 'vue'

import type { WorkedOut } from '../api/types'
import WorkedFigure from '../kit/WorkedFigure.vue'
import BiteCard from './BiteCard.vue'
import DessertFindings from './DessertFindings.vue'
import type { Chosen } from './parts'
import StartBy from './StartBy.vue'
import TakesTable from './TakesTable.vue'
import TicketHead from './TicketHead.vue'

const SwapInAll = defineAsyncComponent(() => import('./SwapInAll.vue'))
const swapping = ref(false)
const props = defineProps<{
  id: string
  name: string
  worked: WorkedOut
  count: number
  countError?: string | undefined
  /** Why the figures are of an earlier drawing than the one that is seen. */
  stale?: string | undefined
  /** Whether an entry is refused and not saved. */
  refused?: boolean
  chosen: Chosen | null
  disabled: boolean
}>()
const emit = defineEmits<{ count: [count: number]; choose: [chosen: Chosen] }>()

const solved = computed(() => props.worked.solved)
const several = computed(() => props.worked.sizes.length > 1)
const shown = computed(() => props.worked.sizes.find((one) => one.key === props.worked.key))
</script>

<template>
  <section class="slip" aria-label="What it takes">
    <TicketHead
      :count="count"
      :count-error="countError"
      :size="several ? shown?.says : undefined"
      :disabled="disabled"
      @count="(v) => emit('count', v)"
    />
    <StartBy :id="id" />
    <p v-if="stale" class="stale" role="status">
      These figures are of the drawing before: {{ stale }}
    </p>
    <DessertFindings
      :solved="solved"
      :chosen="chosen"
      :stale="stale"
      :refused="refused ?? false"
      @choose="(one) => emit('choose', one)"
    />
    <TakesTable :solved="solved" :chosen="chosen" @choose="(one) => emit('choose', one)" />
    <h3 v-if="several">The whole order</h3>
    <p v-if="several" class="quiet">
      {{ worked.sizes.map((one) => `${one.count} × ${one.says}`).join(' + ') }}
    </p>
    <table v-if="several" class="takes" aria-label="The whole order">
      <tbody>
        <tr v-for="take in worked.takes" :key="take.formula">
          <th scope="row">{{ take.name }}</th>
          <td><WorkedFigure :working="take.make" /></td>
        </tr>
      </tbody>
    </table>
    <dl>
      <div>
        <dt>Height</dt>
        <dd><WorkedFigure :working="solved.height" /></dd>
      </div>
      <div>
        <dt>Surface</dt>
        <dd><WorkedFigure :working="solved.surface" /></dd>
      </div>
      <div v-if="solved.liner">
        <dt>Liner strip</dt>
        <dd><WorkedFigure :working="solved.liner" /></dd>
      </div>
    </dl>
    <div class="deeds">
      <RouterLink class="deed main" :to="`/desserts/${id}/sheets`">Sheets to pin up</RouterLink>
      <div class="ways">
        <RouterLink class="deed" :to="`/desserts/${id}/molds`">Other molds</RouterLink>
        <RouterLink class="deed" :to="`/desserts/${id}/portions`">Portions</RouterLink>
        <RouterLink class="deed" :to="`/desserts/${id}/cut`">Cut from sheets</RouterLink>
        <RouterLink class="deed" :to="`/desserts/${id}/templates`">Templates</RouterLink>
      </div>
      <BiteCard :id="id" :size="worked.key" />
      <button v-if="!disabled" type="button" class="deed" @click="swapping = true">
        Swap an ingredient in all of it
      </button>
    </div>
    <SwapInAll v-if="swapping" :id="id" :name="name" @close="swapping = false" />
  </section>
</template>

<style scoped>
h3 {
  margin-top: 16px;
}

.stale {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  font-size: 14px;
  margin-bottom: 8px;
  padding: 7px 10px;
}

dl {
  display: grid;
  gap: 4px;
  grid-template-columns: repeat(3, auto);
  justify-content: space-between;
  margin: 12px 0;
}

dt {
  color: var(--muted);
  font-size: 13px;
}

dd {
  margin: 0;
}

.deeds {
  display: grid;
  gap: 6px;
}

.ways {
  display: grid;
  gap: 6px;
  grid-template-columns: 1fr 1fr;
}

.ways .deed {
  font-size: 14px;
  line-height: 1.15;
  padding-inline: 4px;
}

.deeds :deep(> * > .deed),
.deeds :deep(> .deed) {
  min-height: 36px;
  width: 100%;
}
</style>
