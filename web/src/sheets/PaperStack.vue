<script setup lang="ts">
/** Sheets on pages, on the screen as on paper: measured once, then laid out. */
import { computed, nextTick, ref, shallowRef, watch } from 'vue'

import { lookOf } from '../kit/flavors'
import { useSize } from '../kit/useSize'
import { type Measured, type PageOf, paged } from './paging'
import { type Paper, titleOf } from './papers'
import SheetPiece from './SheetPiece.vue'

const props = defineProps<{ papers: Paper[]; format: 'A4' | 'Letter'; foot: string }>()
/** Sizes of letters, the largest first; pages are shared out by the usual one. */
const LETTERS = [1.4, 1.3, 1.2, 1.1, 1, 0.93, 0.86, 0.8]
const USUAL = LETTERS.indexOf(1)
/** Between what is measured and what is laid out a line may break anew. */
const AIR_PX = 3

const gauge = ref<HTMLElement | null>(null)
const room = ref<HTMLElement | null>(null)
const size = useSize(room)
const pages = shallowRef<PageOf[] | null>(null)

const looks = computed(() => {
  const formulas = props.papers.flatMap((one) => (one.kind === 'formula' ? [one.page] : []))
  return new Map(formulas.map((page) => [page.sheet.formula, lookOf(page)]))
})
const look = (formula: string) => looks.value.get(formula) ?? lookOf()

const heights = (within: Element, which: string) =>
  [...within.querySelectorAll(which)].map((one) => one.getBoundingClientRect().height)
const sum = (all: number[]) => all.reduce((a, b) => a + b, 0)
function measured(sheet: Element): Measured {
  const [lines, steps] = [heights(sheet, '[data-line]'), heights(sheet, '[data-step]')]
  const abreast = sheet.classList.contains('abreast')
  const inner = abreast ? Math.max(sum(lines), sum(steps)) : sum(lines) + sum(steps)
  return { frame: sheet.getBoundingClientRect().height - inner, lines, steps, abreast }
}
/** In letters so large that a line stands out aside it fits no page. */
const tooWide = (sheet: Element) => sheet.scrollWidth > sheet.clientWidth + 1

async function layOut() {
  pages.value = null
  await nextTick()
  await document.fonts.ready
  const box = gauge.value
  if (!box || !props.papers.length) return
  const all = LETTERS.map((letters) => {
    box.parentElement?.style.setProperty('--letters', String(letters))
    const smallest = letters === LETTERS.at(-1)
    return [...box.children].map((sheet) => {
      const one = measured(sheet)
      return tooWide(sheet) && !smallest ? { ...one, frame: Infinity } : one
    })
  })
  pages.value = paged(all, USUAL, box.getBoundingClientRect().height - AIR_PX)
}
watch(() => [props.papers, props.format], layOut, { immediate: true })

/** A page wider than its room is drawn smaller, on the screen only. */
const PAGE_PX = 830
const zoom = computed(() => (size.width ? Math.min(1, size.width / PAGE_PX) : 1))
defineExpose({
  /** To the page on which a sheet begins. */
  show: (paper: number) =>
    document.getElementById(`page-of-${paper}`)?.scrollIntoView({ block: 'start' }),
})
const beginsHere = (page: PageOf, slice: PageOf['slices'][number]) =>
  page.slices.includes(slice) && !slice.steps[0] && !slice.lines[0]
</script>

<template>
  <div ref="room">
    <div v-if="!pages" class="measuring" aria-hidden="true">
      <div :class="['paper', format.toLowerCase()]">
        <div ref="gauge" class="inner">
          <SheetPiece v-for="one in papers" :key="one.key" :paper="one" :look-of="look" />
        </div>
        <p class="foot">&nbsp;</p>
      </div>
    </div>
    <div v-else class="stack" :style="{ zoom }">
      <section
        v-for="(page, at) in pages"
        :key="at"
        :class="['paper', format.toLowerCase()]"
        :style="{ '--letters': LETTERS[page.letters] }"
        :aria-label="`Page ${at + 1}`"
      >
        <div class="inner">
          <template v-for="slice in page.slices" :key="`${slice.sheet}/${slice.steps[0]}`">
            <SheetPiece
              v-if="papers[slice.sheet]"
              :id="beginsHere(page, slice) ? `page-of-${slice.sheet}` : undefined"
              :paper="papers[slice.sheet] as Paper"
              :look-of="look"
              :lines="slice.lines"
              :steps="slice.steps"
            />
          </template>
        </div>
        <p class="foot">
          <span>{{ foot }}</span>
          <span>{{
            page.slices
              .map((one) => (papers[one.sheet] ? titleOf(papers[one.sheet] as Paper) : ''))
              .join(' · ')
          }}</span>
          <span>{{ at + 1 }} / {{ pages.length }}</span>
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.measuring {
  height: 0;
  overflow: hidden;
  position: absolute;
  visibility: hidden;
}

.stack {
  display: grid;
  gap: 18px;
  justify-items: center;
}

.paper {
  background: var(--paper);
  box-shadow: 0 1px 6px rgb(34 48 42 / 18%);
  display: flex;
  flex-direction: column;
  font-size: calc(10.5pt * var(--letters, 1));
  overflow: hidden;
  padding: 11mm 12mm 7mm;
}

.a4 {
  height: 297mm;
  page: a4;
  width: 210mm;
}

.letter {
  height: 279.4mm;
  page: letter;
  width: 215.9mm;
}

/* What is left of a page stands between its sheets. */
.inner {
  align-content: space-between;
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 1fr);
  min-height: 0;
}

.measuring .inner {
  align-content: start;
}

.foot {
  color: var(--muted);
  display: flex;
  font-size: 8.5pt;
  gap: 16px;
  justify-content: space-between;
  padding-top: 2mm;
  white-space: nowrap;
}

.foot > * {
  overflow: hidden;
  text-overflow: ellipsis;
}

.foot > :last-child {
  flex: none;
}

@media print {
  .stack {
    display: block;
    zoom: 1 !important;
  }

  .paper {
    box-shadow: none;
    break-after: page;
  }

  .paper:last-child {
    break-after: auto;
  }
}
</style>

<style>
@page a4 {
  margin: 0;
  size: A4;
}

@page letter {
  margin: 0;
  size: letter;
}
</style>
