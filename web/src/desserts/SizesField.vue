<script setup lang="ts">
/** What is made at once: each size with its count, its mold, and whether it follows the first. */
import { computed } from 'vue'

import { useKnown } from '../api/known'
import type { MoldBrief } from '../api/types'
import RowChoice from '../kit/RowChoice.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { FIRST, sizeOf, withoutSize, withSize } from './sizes'
import { newKey } from './parts'
import type { Composing } from './useComposing'

const props = defineProps<{ work: Composing; disabled: boolean }>()
const emit = defineEmits<{ mold: [mold: string] }>()
const { draft, view, worked, size, asked, follows } = props.work

const moldOf = useKnown('molds', () => (view.value ? [view.value.mold] : []))
const offered = (one: MoldBrief) => ({
  value: one.id,
  label: one.name,
  title: one.figures.says_in_full,
})
const chips = computed(() => worked.value?.sizes ?? [])
const trays = computed(() => chips.value.find((one) => one.key === size.value)?.trays)
const own = computed(() => draft.value && sizeOf(draft.value, size.value))

async function add(mold: string) {
  if (!draft.value) return
  const key = newKey()
  await props.work.edit({
    sizes: [...(draft.value.sizes ?? []), { key, mold, count: draft.value.count ?? 1 }],
  })
  asked.value = key
}

function takeOut() {
  const left = draft.value && withoutSize(draft.value, size.value)
  asked.value = FIRST
  if (left) void props.work.edit({ sizes: left })
}

function follow() {
  if (!draft.value) return
  void props.work.edit({
    sizes: withSize(draft.value, size.value, { parts: null, portions: null }),
  })
}
</script>

<template>
  <section class="sizes" aria-label="Make">
    <span class="eyebrow">Make</span>
    <div class="chips">
      <button
        v-for="one in chips"
        :key="one.key"
        type="button"
        :class="['chip', { taken: one.key === size, wrong: one.wrong }]"
        :aria-pressed="one.key === size"
        :title="one.wrong ? `${one.mold_name}: something is wrong` : one.mold_name"
        @click="asked = one.key"
      >
        {{ one.count }} × {{ one.says }}
      </button>
    </div>
    <p v-if="trays" class="quiet">in <WorkedFigure :working="trays" /></p>
    <label class="made-in">
      <span class="eyebrow">Made in</span>
      <RowChoice
        :value="view?.mold ?? ''"
        :label="moldOf(view?.mold ?? '')?.name"
        shelf="molds"
        :says="offered"
        :disabled="disabled"
        class="wide"
        @change="(to) => emit('mold', String(to))"
      />
    </label>
    <p v-if="!own" class="quiet">Parts keep their gap to the wall.</p>
    <template v-else>
      <p class="quiet">
        {{
          follows
            ? 'Follows the first size: gaps and heights kept. Draw on it, and it stands on its own.'
            : 'Drawn on its own.'
        }}
      </p>
      <p v-if="!disabled" class="deeds">
        <button v-if="!follows" type="button" class="deed small" @click="follow">
          Follow the first size
        </button>
        <button type="button" class="deed small warn" @click="takeOut">Take out this size</button>
      </p>
    </template>
    <label v-if="!disabled">
      <span class="unseen">Add a size</span>
      <RowChoice
        :value="undefined"
        shelf="molds"
        :says="offered"
        placeholder="Add a size: choose a mold"
        class="wide adding"
        @change="(mold) => add(String(mold))"
      />
    </label>
  </section>
</template>

<style scoped>
.sizes {
  display: grid;
  gap: 7px;
  margin-top: 18px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.chip {
  background: var(--paper);
  border: 1px solid var(--leaf-strong);
  border-radius: var(--round);
  color: var(--fern);
  cursor: pointer;
  font-weight: 700;
  padding: 4px 11px;
}

.chip.taken {
  background: var(--fern);
  border-color: var(--fern);
  color: var(--strip-text);
}

.chip.wrong {
  border-color: var(--brick);
}

.chip.wrong:not(.taken) {
  color: var(--brick);
}

.made-in {
  display: block;
}

.wide {
  width: 100%;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.adding :deep(.ant-select-selector) {
  background: none !important;
  border-style: dashed !important;
}
</style>
