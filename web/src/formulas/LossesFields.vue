<script setup lang="ts">
/** What is lost: a share that cooks off, or how far it is cooked; the pan; tasting. */
import { computed } from 'vue'

import type { Losses, Reading } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { house } from '../api/house'

const props = defineProps<{
  losses: Losses | undefined
  cooking: Reading['cooking'] | undefined
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [losses: Losses] }>()
const NONE: Losses = { cooking_percent: 0, pan_percent: 0, tasting_percent: 0, cooked_to: null }
const own = computed<Losses>(() => ({ ...NONE, ...props.losses }))
const set = (change: Partial<Losses>) => emit('change', { ...own.value, ...change })

type Until = NonNullable<Losses['cooked_to']>['until']
const signs = computed(() => house.value.formulas.signs)
const untils = computed(() => [
  { value: '', label: 'a share, as weighed' },
  ...Object.entries(signs.value).map(([value, { label }]) => ({ value, label })),
])
const sign = computed(() => own.value.cooked_to ?? null)
const words = computed(() => sign.value && signs.value[sign.value.until])
/** A new sign starts with the usual figure. */
function cookUntil(until: string) {
  const value = signs.value[until]?.field.first
  set({ cooked_to: until && value ? { until: until as Until, value } : null })
}
</script>

<template>
  <h3>What is lost</h3>
  <label class="until">
    <span class="eyebrow">Cooks off</span>
    <ChoiceField
      :value="sign?.until ?? ''"
      :options="untils"
      :disabled="disabled"
      @change="(until) => cookUntil(String(until))"
    />
  </label>
  <div class="three">
    <NumberField
      v-if="sign"
      :label="words?.field.label ?? ''"
      :unit="words?.unit ?? ''"
      :value="sign.value"
      :disabled="disabled"
      :error="errorAt(`losses.cooked_to.${words?.field.name}`)"
      @commit="(value) => value !== null && set({ cooked_to: { until: sign!.until, value } })"
    />
    <NumberField
      v-else
      label="Cooked off"
      unit="%"
      :value="own.cooking_percent"
      :disabled="disabled"
      :error="errorAt('losses.cooking_percent')"
      @commit="(v) => v !== null && set({ cooking_percent: v })"
    />
    <NumberField
      label="In the pan"
      unit="%"
      :value="own.pan_percent"
      :disabled="disabled"
      :error="errorAt('losses.pan_percent')"
      @commit="(v) => v !== null && set({ pan_percent: v })"
    />
    <NumberField
      label="Tasted"
      unit="%"
      :value="own.tasting_percent"
      :disabled="disabled"
      :error="errorAt('losses.tasting_percent')"
      @commit="(v) => v !== null && set({ tasting_percent: v })"
    />
  </div>
  <p v-if="sign && cooking" class="quiet">
    That is
    <WorkedFigure :working="cooking" :text="figure(cooking.value, 1)" />
    of what is weighed.
  </p>
</template>

<style scoped>
.three {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(3, minmax(0, 1fr));
}

.until {
  display: grid;
}
</style>
