import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [vue(), vuetify({ autoImport: true })],
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    // How long each plugin took is of no use to whoever starts Winculum.
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  server: {
    port: Number(process.env['WEB_PORT'] ?? 4311),
    host: '127.0.0.1',
    proxy: { '/api': { target: `http://127.0.0.1:${process.env['PORT'] ?? 4310}` } },
  },
});
