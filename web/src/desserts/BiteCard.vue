<script setup lang="ts">
/** A bite through the cut: each part's share of it and how sweet it is; worked out when opened. */
import { computed, ref } from 'vue'

import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useBite } from './useDessert'

const props = defineProps<{ id: string; size: string }>()
const open = ref(false)
const { data, error, isPending } = useBite(
  () => props.id,
  () => props.size,
  () => open.value,
)
const sweetest = computed(() =>
  Math.max(1, ...(data.value?.parts ?? []).map((part) => part.tastes.Sweetness?.value ?? 0)),
)
const width = (share: number) => `${share.toFixed(1)}%`
</script>

<template>
  <section aria-label="A bite" class="bite">
    <button type="button" class="deed small" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Close the bite' : 'How a bite tastes' }}
    </button>
    <template v-if="open">
      <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
      <p v-else-if="isPending" class="quiet">Working it out …</p>
      <p v-else-if="!data" class="quiet">
        A part has no weight yet: see the findings. Then a bite can be weighed.
      </p>
      <template v-else>
        <p>
          Sweetness
          <WorkedFigure v-if="data.tastes.Sweetness" :working="data.tastes.Sweetness" unit="" />
          <span v-else class="wrong">unknown</span>
          <span class="quiet"> where sugar is 100</span>
        </p>
        <ul class="list">
          <li v-for="part in data.parts" :key="`${part.part}/${part.layer}`">
            <span class="name">{{ part.name }}</span>
            <WorkedFigure
              plain
              :working="part.share"
              :text="figure(part.share.value, 0)"
              unit="% of the bite"
            />
            <span class="bar" aria-hidden="true">
              <span class="share" :style="{ width: width(part.share.value) }" />
              <span
                v-if="part.tastes.Sweetness"
                class="sweet"
                :style="{ left: width((100 * part.tastes.Sweetness.value) / sweetest) }"
              />
            </span>
            <WorkedFigure
              v-if="part.tastes.Sweetness"
              plain
              :working="part.tastes.Sweetness"
              unit=""
            />
            <span v-else class="wrong">unknown</span>
          </li>
        </ul>
        <p class="quiet">
          <span v-for="name in ['Fat', 'Acids', 'Salt']" :key="name" class="taste">
            {{ name }} <WorkedFigure plain :working="data.tastes[name] ?? null" />
          </span>
        </p>
        <p class="quiet">{{ data.says }}</p>
        <p v-if="data.needs.length" class="wrong">
          Unknown without the make-up of {{ data.needs.join(', ') }}.
        </p>
      </template>
    </template>
  </section>
</template>

<style scoped>
li > :last-child {
  justify-self: end;
}

.bite {
  display: grid;
  gap: 6px;
  justify-items: start;
}

ul {
  width: 100%;
}

li {
  display: grid;
  font-size: 14px;
  gap: 0 8px;
  grid-template-columns: 1fr auto;
  padding: 3px 0;
}

.taste {
  margin-right: 14px;
}

.bar {
  background: var(--porcelain-shade);
  border-radius: 3px;
  height: 8px;
  margin-top: 6px;
  position: relative;
}

.share {
  background: var(--leaf-strong);
  border-radius: 3px;
  bottom: 0;
  left: 0;
  position: absolute;
  top: 0;
}

.sweet {
  background: var(--bronze);
  bottom: -2px;
  margin-left: -1.5px;
  position: absolute;
  top: -2px;
  width: 3px;
}
</style>
