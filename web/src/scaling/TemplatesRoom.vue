<script setup lang="ts">
/** What is cut by a template, to be printed or cut at full size. */
import { ref } from 'vue'

import { house } from '../api/house'
import type { TemplateOffer } from '../api/types'
import { loopsPath } from '../desserts/drawing'
import EmptyState from '../kit/EmptyState.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import ScaleShelf from './ScaleShelf.vue'
import { useLooks, useTemplates } from './useScaling'

const props = defineProps<{ id: string }>()
const { dessert } = useLooks(() => props.id)
const templates = useTemplates(
  () => props.id,
  () => '',
)
const paper = ref('A4')
const frame = { scale: 1, x0: 0, y0: 0 }
/** All drawn at one scale would make the long ones slivers: each fills its card. */
const view = ({ drawn }: TemplateOffer) => {
  const points = [...drawn.cut, ...(drawn.marks ?? [])].flat()
  const xs = points.map(([x]) => x as number)
  const ys = points.map(([, y]) => -(y as number))
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - top]
  const air = Math.max(wide, high) * 0.03
  return `${left - air} ${top - air} ${wide + 2 * air} ${high + 2 * air}`
}
const path = (loops: unknown) => loopsPath(loops as [number, number][][], frame)
const file = (key: string, as: 'pdf' | 'svg') =>
  `/api/desserts/${props.id}/templates/${key}?as=${as}&paper=${paper.value}`
const pages = (one: TemplateOffer) => {
  const number = one.pages[paper.value] ?? 1
  return number === 1 ? 'one page' : `${number} pages to join`
}
</script>

<template>
  <ZoneFrame shelf="How" board="Templates">
    <template #shelf>
      <ScaleShelf :id="id" :name="dessert?.name" title="Templates" here="templates">
        <p class="quiet">
          At full size: print at 100 %, measure the bar of 50 mm, join the pages at the crosses.
        </p>
        <SwitchRow
          label="Paper"
          :value="paper"
          :choices="house.scaling.papers.map((one) => ({ value: one, label: one }))"
          @change="(v) => (paper = v)"
        />
        <a
          v-if="templates.data.value?.length"
          class="deed main"
          :href="file('all', 'pdf')"
          target="_blank"
          rel="noopener"
        >
          All of them as PDF
        </a>
      </ScaleShelf>
    </template>
    <p v-if="templates.error.value" class="wrong" role="alert">
      {{ templates.error.value.message }}
    </p>
    <EmptyState
      v-else-if="templates.isSuccess.value && !templates.data.value?.length"
      title="Nothing is cut by a template"
      text="Liners, bases, discs, bands, petals and slice guides appear here once the dessert has them."
    />
    <ul class="list cards" aria-label="Templates">
      <li v-for="one in templates.data.value" :key="one.drawn.key" class="card">
        <svg :viewBox="view(one)" aria-hidden="true">
          <path class="cut" :d="path(one.drawn.cut)" />
          <path class="mark" :d="path(one.drawn.marks ?? [])" />
          <path
            v-for="([a, b], i) in one.drawn.strokes ?? []"
            :key="i"
            class="mark"
            :d="`M${a[0]} ${-a[1]}L${b[0]} ${-b[1]}`"
          />
        </svg>
        <h3>{{ one.drawn.title }}</h3>
        <p class="quiet">{{ one.drawn.says }}; {{ pages(one) }}</p>
        <p class="files">
          <a :href="file(one.drawn.key, 'pdf')" target="_blank" rel="noopener">PDF</a>
          <a :href="file(one.drawn.key, 'svg')" target="_blank" rel="noopener">SVG</a>
        </p>
      </li>
    </ul>
  </ZoneFrame>
</template>

<style scoped>
.cards {
  display: grid;
  gap: 16px;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
}

.card {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  display: grid;
  font-size: 14px;
  gap: 3px;
  grid-template-rows: 150px auto 1fr auto;
  line-height: 1.3;
  padding: 12px;
}

svg {
  height: 100%;
  width: 100%;
}

.cut {
  fill: var(--leaf);
  fill-opacity: 0.5;
  fill-rule: evenodd;
  stroke: var(--ink);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}

.mark {
  fill: none;
  stroke: var(--muted);
  stroke-dasharray: 5 4;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}

.files {
  display: flex;
  gap: 14px;
}
</style>
