import adapter from '@sveltejs/adapter-static';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** One page that draws every screen; the server answers each screen's address with it. */
export default {
  preprocess: vitePreprocess(),
  compilerOptions: {
    runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true)
  },
  kit: {
    adapter: adapter({ pages: 'build', assets: 'build', fallback: 'index.html' }),
    output: { bundleStrategy: 'split' }
  }
};
