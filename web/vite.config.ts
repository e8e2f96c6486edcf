import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

const server = process.env['LANTERN_SERVER'] ?? 'http://localhost:8080';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    outDir: '../server/target/classes/static',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: ['index.html', 'src/public.css'],
      output: {
        // The pages that the server makes know this one by its name.
        assetFileNames: ({ names }) =>
          names.includes('public.css') ? 'public.css' : 'assets/[name]-[hash][extname]',
      },
    },
  },
  server: { proxy: { '/api': server, '/p': server, '/public.css': server } },
  test: {
    // Beside other work a test may take long; none waits for it.
    testTimeout: 60_000,
    environment: 'jsdom',
    setupFiles: ['src/test-setup.ts'],
    globals: false,
  },
});
