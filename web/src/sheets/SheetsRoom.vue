<script setup lang="ts">
/** Everything that is pinned up for a dessert, an order or a formula, page by page. */
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { house } from '../api/house'
import { useRow } from '../api/shelves'
import { figure } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import NumberField from '../kit/NumberField.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import PaperStack from './PaperStack.vue'
import { titleOf } from './papers'
import { type Asked, type SheetsOf, useSheets } from './useSheets'

const props = defineProps<{ of: SheetsOf; room: string; id: string; asked: Asked }>()
const router = useRouter()
const row = useRow(props.of, () => props.id)
const sheets = useSheets(
  () => props.of,
  () => props.id,
  () => props.asked,
)
const papers = computed(() => sheets.data.value ?? [])
const refusal = computed(() => sheets.error.value?.message ?? row.error.value?.message)
const stack = ref<InstanceType<typeof PaperStack> | null>(null)
const KEPT = 'fernbell.paper'
const format = ref<'A4' | 'Letter'>(localStorage.getItem(KEPT) === 'Letter' ? 'Letter' : 'A4')
function lay(on: string) {
  format.value = on === 'Letter' ? 'Letter' : 'A4'
  localStorage.setItem(KEPT, on)
}
const today = new Date().toLocaleDateString('en-GB', { dateStyle: 'long' })
const foot = computed(() => [row.data.value?.name, today].filter(Boolean).join(' · '))
/** How many of a dessert's own size, where it is one. */
const dessert = useRow('desserts', () => (props.of === 'desserts' ? props.id : undefined))
const count = computed(() => props.asked.count ?? dessert.data.value?.count)
const several = computed(() => Boolean(dessert.data.value?.sizes.length))
const print = () => window.print()
</script>

<template>
  <div class="sheets-room">
    <aside>
      <p>
        <RouterLink :to="`/${room}/${id}`">← {{ row.data.value?.name ?? 'Back' }}</RouterLink>
      </p>
      <h1>Sheets</h1>
      <NumberField
        v-if="count"
        :label="several ? 'For how many of the first size' : 'For how many desserts'"
        :value="count"
        :error="refusal"
        @commit="(v) => v !== null && router.replace({ query: { count: v } })"
      />
      <SwitchRow
        label="Paper"
        :value="format"
        :choices="house.scaling.papers.map((one) => ({ value: one, label: one }))"
        @change="lay"
      />
      <button type="button" class="deed main" :disabled="!papers.length" @click="print">
        Print the sheets
      </button>
      <ol class="list">
        <li v-for="(paper, i) in papers" :key="paper.key">
          <button type="button" class="jump" @click="stack?.show(i)">
            <LookSwatch v-if="paper.kind === 'formula'" :formula="paper.page" :size="20" />
            <span class="name">
              <template v-if="paper.kind === 'formula' && paper.number">{{
                paper.number
              }}</template>
              {{ titleOf(paper) }}
            </span>
            <span v-if="paper.kind === 'formula'" class="quiet"
              >{{ figure(paper.page.sheet.batch_g, 0) }} g</span
            >
          </button>
        </li>
      </ol>
    </aside>
    <section class="pages" aria-label="Sheets to pin up">
      <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
      <p v-else-if="sheets.isSuccess.value && !papers.length" class="quiet">
        Nothing to weigh yet:
        {{ room === 'plan' ? 'put desserts into the order' : 'write its lines' }}.
      </p>
      <PaperStack
        v-else-if="papers.length"
        ref="stack"
        :papers="papers"
        :format="format"
        :foot="foot"
      />
    </section>
  </div>
</template>

<style scoped>
.sheets-room {
  display: grid;
  grid-template-columns: 264px minmax(0, 1fr);
  height: 100%;
}

aside {
  background: var(--porcelain-shade);
  border-right: 1px solid var(--rule);
  display: flex;
  flex-direction: column;
  gap: 12px;
  overflow-y: auto;
  padding: 16px;
}

aside > * {
  align-self: start;
  flex: none;
}

aside > :not(p, h1) {
  max-width: 100%;
}

aside > ol,
aside > .deed,
aside > :deep(.field) {
  align-self: stretch;
}

.jump {
  align-items: center;
  background: none;
  border: 0;
  border-radius: 6px;
  cursor: pointer;
  display: flex;
  gap: 8px;
  padding: 5px 4px;
  text-align: left;
  width: 100%;
}

.jump:hover {
  background: var(--paper);
}

.name {
  flex: 1;
  min-width: 0;
}

.pages {
  background: var(--leaf);
  min-width: 0;
  overflow: auto;
  padding: 18px;
  position: relative;
}

@media print {
  /* Not taken out: the drawings paint with the textures its swatches define. */
  aside {
    height: 0;
    overflow: hidden;
    padding: 0;
    position: absolute;
    visibility: hidden;
  }

  .sheets-room,
  .pages {
    background: none;
    display: block;
    height: auto;
    overflow: visible;
    padding: 0;
  }
}

@media (max-width: 760px) {
  .sheets-room {
    display: block;
    overflow-y: auto;
  }
}
</style>
