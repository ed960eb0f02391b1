<script setup lang="ts">
/** A formula from nothing: name its job, choose what goes in; it is proposed, with reasons. */
import Modal from 'ant-design-vue/es/modal'

import { Problem } from '../../api/client'
import type { FormulaEntry } from '../../api/types'
import FamilyChoice from './FamilyChoice.vue'
import JobChoices from './JobChoices.vue'
import ProposedFormula from './ProposedFormula.vue'
import { useProposal } from './useSetting'
import { useWish } from './useWish'

const emit = defineEmits<{ make: [entry: FormulaEntry]; close: [] }>()
defineProps<{ error: string | undefined }>()
const wish = useWish()
const { families, family, job } = wish
const { data, error: refused } = useProposal(wish.wish)
const errorAt = (field: string) =>
  refused.value instanceof Problem ? refused.value.at(field) : undefined
</script>

<template>
  <Modal open title="Set one for its job" :footer="null" width="920px" @cancel="emit('close')">
    <div class="new">
      <FamilyChoice :families="families" :chosen="family?.key" @choose="wish.chooseFamily" />
      <template v-if="family && job">
        <JobChoices :family="family" :job="job" :wish="wish" :proposal="data" :error-at="errorAt" />
        <ProposedFormula
          :proposal="data"
          :job="job"
          :refused="refused"
          :error="error"
          @make="(entry) => emit('make', entry)"
        />
      </template>
    </div>
  </Modal>
</template>

<style scoped>
.new {
  display: grid;
  gap: 20px;
  grid-template-columns: 138px 270px 1fr;
  min-height: 430px;
}

@media (max-width: 860px) {
  .new {
    grid-template-columns: 1fr;
  }
}
</style>
