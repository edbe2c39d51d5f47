<template>
  <main class="door">
    <section class="sheet">
      <p class="brand num">WINCULUM</p>
      <slot />
    </section>
    <p class="caution muted">
      A plan is not permission. The adopted code, the authority having jurisdiction and a licensed electrician decide.
    </p>
  </main>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  place-content: center;
  gap: 18px;
  padding: 24px;
}
.sheet {
  width: min(400px, calc(100vw - 48px));
  background: var(--card);
  border: 1px solid var(--rule);
  border-top: 6px solid var(--chalk);
  border-radius: 6px;
  padding: 28px;
}
.brand {
  font-size: 30px;
  letter-spacing: 0.06em;
  color: var(--chalk);
  font-weight: 700;
}
.caution {
  width: min(400px, calc(100vw - 48px));
  font-size: 12.5px;
  text-align: center;
}
</style>
