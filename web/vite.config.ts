import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  build: {
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // What most screens need comes as one file: forty small ones took a tenth of a second longer.
            { name: 'shell', minShareCount: 6, test: /^(?!.*(tiptap|prosemirror|lib\/editor)).*$/ }
          ]
        }
      }
    }
  },
  server: {
    proxy: { '/api': process.env.JEMBLE_SERVER ?? 'http://127.0.0.1:8080' }
  },
  test: {
    include: ['src/**/*.test.ts'],
    environment: 'node',
    reporters: ['default', ['json', { outputFile: 'target/vitest.json' }]]
  }
});
