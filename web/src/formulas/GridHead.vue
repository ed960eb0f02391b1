<script setup lang="ts">
/** Over which column of the lines one is, and how wide each is. */
defineProps<{ hasBase: boolean }>()
</script>

<template>
  <thead>
    <tr class="eyebrow">
      <th scope="col" class="grams">grams</th>
      <th scope="col">ingredient or formula</th>
      <th scope="col" class="percent">{{ hasBase ? '% of ●' : '% of all' }}</th>
      <th scope="col" class="air" title="Overrun: air beaten in">air, %</th>
      <th scope="col" class="kitchen">in the kitchen</th>
      <th scope="col" class="brings">what it brings</th>
    </tr>
  </thead>
</template>

<style scoped>
th {
  font-weight: 600;
  padding: 4px 8px;
  text-align: left;
}

.grams {
  padding-right: 18px;
  text-align: right;
  width: 92px;
}

.percent,
.air {
  text-align: right;
}

.percent {
  width: 78px;
}

.air {
  width: 56px;
}

.kitchen {
  width: 138px;
}

.brings {
  width: 108px;
}

@media (max-width: 1100px) {
  th {
    padding-inline: 4px;
  }

  .kitchen {
    width: 104px;
  }

  .brings {
    width: 74px;
  }

  .percent {
    width: 64px;
  }

  .air {
    width: 52px;
  }
}

@media (max-width: 760px) {
  .kitchen,
  .air,
  .percent {
    display: none;
  }

  .brings {
    width: 92px;
  }
}
</style>
