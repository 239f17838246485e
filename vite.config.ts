import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** What every page is written in, asked for together with the program: words do not jump when it arrives. */
const PRELOADED =
  /(?:atkinson-hyperlegible-next-latin-(?:400|600)|bricolage-grotesque-latin-700)-normal-[^/]*\.woff2$/;
const preloadFonts: Plugin = {
  name: 'preload fonts',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => PRELOADED.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: true },
          injectTo: 'head-prepend' as const,
        })),
  },
};

export default defineConfig({
  root: 'src/web',
  plugins: [react(), tailwindcss(), preloadFonts],
  build: { outDir: '../../dist/web', emptyOutDir: true, target: 'es2022' },
  worker: { format: 'es' },
});
