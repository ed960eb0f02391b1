<template>
  <div class="not-here">
    <h1>There is no such page</h1>
    <p><RouterLink to="/desserts">Back to the desserts</RouterLink></p>
  </div>
</template>

<style scoped>
.not-here {
  padding: 48px;
}
</style>
