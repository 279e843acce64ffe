<template>
  <main id="content" tabindex="-1" class="paper">
    <h1>This cake is not on the shelf</h1>
    <p><KeyButton to="/">To the shelf</KeyButton></p>
  </main>
</template>
