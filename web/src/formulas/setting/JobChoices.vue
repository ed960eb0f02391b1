<script setup lang="ts">
/** The job in a sentence: for what, with what, on what, by which way; and how much. */
import { computed } from 'vue'

import type { Families, Job, Proposal } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import EntryField from '../../kit/EntryField.vue'
import type { useWish } from './useWish'

const props = defineProps<{
  family: Families['families'][number]
  job: Job
  wish: ReturnType<typeof useWish>
  proposal: Proposal | undefined
  errorAt: (field: string) => string | undefined
}>()
const choicesOf = (slot: string) =>
  (props.proposal?.choices[slot] ?? []).map((one) => ({ value: one.id, label: one.name }))
const jobs = computed(() => props.family.jobs.map((one) => ({ value: one.key, label: one.name })))
</script>

<template>
  <section class="choices" aria-label="The job">
    <label class="word">
      <span>for</span>
      <ChoiceField
        :value="job.key"
        :options="jobs"
        @change="(key) => wish.chooseJob(String(key))"
      />
    </label>
    <label v-for="{ slot, says, usual: like } in job.slots" :key="slot" class="word">
      <span>{{ says }}</span>
      <ChoiceField
        :value="wish.picks.value[slot] ?? proposal?.picked[slot]"
        :options="choicesOf(slot)"
        :placeholder="like"
        shelf="ingredients"
        @change="(id) => wish.pick(slot, String(id))"
      />
    </label>
    <label v-if="job.ways.length" class="word">
      <span>way</span>
      <ChoiceField
        :value="wish.way.value || job.ways[0]"
        :options="job.ways.map((one) => ({ value: one, label: one }))"
        @change="(one) => wish.goBy(String(one))"
      />
    </label>
    <fieldset v-if="job.options.length">
      <legend class="eyebrow">If you like</legend>
      <label v-for="one in job.options" :key="one.stuff" class="option">
        <input
          type="checkbox"
          :checked="!wish.without.value.includes(one.stuff)"
          @change="wish.toggle(one.stuff)"
        />
        <span
          >{{ one.name }} <span class="quiet">{{ one.why }}</span></span
        >
      </label>
    </fieldset>
    <EntryField
      v-for="one in wish.asked.value"
      :key="one.name"
      :words="one"
      :entry="wish.wished.value"
      :error="errorAt(one.name)"
      @commit="(v) => wish.want(one.name, v)"
    />
  </section>
</template>

<style scoped>
.choices {
  align-content: start;
  display: grid;
  gap: 10px;
}

.word {
  display: grid;
  gap: 1px;
}

.word > span:first-child {
  color: var(--muted);
}

fieldset {
  border: 0;
  display: grid;
  gap: 3px;
  margin: 0;
  padding: 0;
}

.option {
  align-items: baseline;
  display: flex;
  gap: 8px;
}

.option .quiet {
  display: block;
  line-height: 1.2;
}
</style>
