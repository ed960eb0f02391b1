<script setup lang="ts">
/** Every formula once, at the size this dessert asks for, in the order of building. */
import { computed } from 'vue'
import { useRouter } from 'vue-router'

import { useKnown } from '../api/known'
import { useRow } from '../api/shelves'
import { figure } from '../kit/format'
import LookSwatch from '../kit/LookSwatch.vue'
import NumberField from '../kit/NumberField.vue'
import SheetCard from '../kit/SheetCard.vue'
import { useSheets } from './useDessert'

const props = defineProps<{ id: string; count?: number }>()
const router = useRouter()
const dessert = useRow('desserts', () => props.id)
const count = computed(() => props.count ?? dessert.data.value?.count ?? 1)
const sheets = useSheets(
  () => props.id,
  () => props.count,
)
const pages = computed(() => sheets.data.value ?? [])
const refusal = computed(() => sheets.error.value?.message ?? dessert.error.value?.message)
const moldOf = useKnown('molds', () => dessert.data.value?.sizes.map(({ mold }) => mold) ?? [])
const several = computed(() => Boolean(dessert.data.value?.sizes.length))
/** '6 × Ring 20 cm + 12 × Ring 8 cm'. */
const made = computed(() => {
  const row = dessert.data.value
  const others = (row?.sizes ?? []).map(
    (one) => `${one.count ?? 1} × ${moldOf(one.mold)?.name ?? '…'}`,
  )
  return [`${count.value} × ${row?.mold_name ?? '…'}`, ...others].join(' + ')
})
const today = new Date().toLocaleDateString('en-GB', { dateStyle: 'long' })

const print = () => window.print()
const jump = (formula: string) =>
  document.getElementById(`sheet-${formula}`)?.scrollIntoView({ block: 'start' })
</script>

<template>
  <div class="sheets-room">
    <aside class="no-print">
      <p>
        <RouterLink :to="`/desserts/${id}`"
          >← {{ dessert.data.value?.name ?? 'The dessert' }}</RouterLink
        >
      </p>
      <h1>Sheets</h1>
      <NumberField
        :label="several ? 'For how many of the first size' : 'For how many desserts'"
        :value="count"
        :error="refusal"
        @commit="(v) => v !== null && router.replace({ query: { count: v } })"
      />
      <ol class="list">
        <li v-for="(page, i) in pages" :key="page.sheet.formula">
          <button type="button" class="jump" @click="jump(page.sheet.formula)">
            <LookSwatch :formula="{ flavor: page.flavor, kind: page.kind }" :size="20" />
            <span class="name">{{ i + 1 }} {{ page.sheet.name }}</span>
            <span class="quiet">{{ figure(page.sheet.batch_g, 0) }} g</span>
          </button>
        </li>
      </ol>
      <button type="button" class="deed main" :disabled="!pages.length" @click="print">
        Print the sheets
      </button>
    </aside>
    <section class="pages" aria-label="Scaled sheets">
      <header class="heading">
        <h1>{{ dessert.data.value?.name }}</h1>
        <p>{{ made }} · {{ today }}</p>
      </header>
      <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
      <p v-else-if="sheets.isSuccess.value && !pages.length" class="quiet">
        Nothing to weigh yet: lay parts into the dessert and write their formulas.
      </p>
      <SheetCard
        v-for="(page, i) in pages"
        :id="`sheet-${page.sheet.formula}`"
        :key="page.sheet.formula"
        :page="page"
        :number="i + 1"
      />
      <p v-if="pages.length" class="quiet caution">
        Eggs, cooled creams and sugar work: hold to your own food-safety plan and local codes. Hot
        sugar and fat burn.
      </p>
    </section>
  </div>
</template>

<style scoped>
.sheets-room {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
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
  display: grid;
  gap: 16px;
  align-content: start;
  overflow-y: auto;
  padding: 20px 26px;
}

.heading {
  align-items: baseline;
  display: flex;
  gap: 16px;
  justify-content: space-between;
}

.caution {
  padding-bottom: 20px;
}

@media print {
  .sheets-room,
  .pages {
    display: block;
    height: auto;
    overflow: visible;
    padding: 0;
  }

  .heading {
    border-bottom: 2px solid var(--ink);
    margin-bottom: 6mm;
    padding-bottom: 2mm;
  }
}
</style>
