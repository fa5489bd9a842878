import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    VitePWA({
      // A new version waits until it is asked for: nothing changes under a run.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Keen Rinse',
        short_name: 'Keen Rinse',
        description:
          'When, where and how to wash salt off each car, so that nothing freezes and nothing spots.',
        start_url: '/',
        display: 'standalone',
        background_color: '#eef2f1',
        theme_color: '#39454b',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png}', '**/*latin-*.woff2'],
        globIgnores: ['**/*latin-ext*', '**/charts-*'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api/],
      },
    }),
  ],
  resolve: { conditions: ['source', ...defaultClientConditions] },
  worker: { format: 'es' },
  server: { port: 4311, proxy: { '/api': 'http://127.0.0.1:4310' } },
  build: {
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'react',
              test: /node_modules[/](react|react-dom|react-router|scheduler)[/]/,
              priority: 30,
            },
            {
              name: 'mantine',
              test: /node_modules[/](@mantine[/](core|hooks|notifications|spotlight)|@floating-ui|dayjs)[/]/,
              priority: 20,
            },
            { name: 'charts', test: /node_modules[/](apexcharts|react-apexcharts)[/]/, priority: 10 },
          ],
        },
      },
    },
  },
});
