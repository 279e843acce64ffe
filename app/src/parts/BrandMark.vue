<template>
  <router-link to="/" class="mark" aria-label="Pyrgotect, to the shelf">
    <svg width="24" height="26" viewBox="0 0 24 26" aria-hidden="true">
      <path
        d="M1 25h22M3.5 25v-7h17v7M6.5 18v-7h11v7M9 11a3 3.4 0 0 1 6 0M12 7.6V2"
        fill="none"
        stroke="currentColor"
        stroke-width="2"
      />
    </svg>
    Pyrgotect
  </router-link>
</template>

<style scoped>
.mark {
  font: 700 var(--size-title)/1 var(--heading);
  letter-spacing: -0.01em;
  display: flex;
  gap: 9px;
  align-items: center;
  text-decoration: none;
}
</style>
