import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 550, // of which the bench measures what goes over the wire
    rolldownOptions: {
      output: {
        // In one piece: the same in seventy small ones, packed one by one, is a tenth larger.
        codeSplitting: { groups: [{ name: 'page', tags: ['$initial'] }] },
      },
    },
  },
});
