<script setup lang="ts">
import BrandMark from '../parts/BrandMark.vue';
</script>

<template>
  <main>
    <BrandMark />
    <h1>There is nothing at this address</h1>
    <p class="lead">The cake may have been taken off the shelf, or the address was cut short.</p>
    <p><router-link class="key" to="/">To the shelf</router-link></p>
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
