<script setup lang="ts">
import BrandMark from '../parts/BrandMark.vue';
</script>

<template>
  <main id="content" tabindex="-1">
    <BrandMark />
    <h1>There is nothing at this address</h1>
    <p class="lead">The cake may have been taken off the shelf, or the address was cut short.</p>
    <p><KeyButton to="/">To the shelf</KeyButton></p>
  </main>
</template>

<style scoped>
main {
  padding: 40px;
}
h1 {
  margin: 30px 0 8px;
}
</style>
