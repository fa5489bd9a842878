import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // Beside each script and style, packed as small as it gets: the server sends that one.
    compression({ include: /\.(?:js|css)$/, algorithms: [defineAlgorithm('brotliCompress')] }),
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
        // What was read last of the plan and its sheets is kept, for when there is no signal; what has to be fresh asks with no-store.
        runtimeCaching: [
          {
            urlPattern: ({ url, request, sameOrigin }) =>
              sameOrigin &&
              request.cache !== 'no-store' &&
              /^\/api\/(access\/session|clock|weather|settings|places|vehicles|vehicles\/[^/]+\/spots|washes|kit|plan|runs\/[^/]+|verdicts\/ways|customers\/today)$/.test(
                url.pathname,
              ),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'last-read',
              expiration: { maxEntries: 150, maxAgeSeconds: 14 * 24 * 3600 },
              plugins: [
                {
                  // When it was read is kept with it, on this device's own clock.
                  cacheWillUpdate: async ({ response }) => {
                    if (response.status !== 200) return null;
                    const headers = new Headers(response.headers);
                    headers.set('x-kept-at', String(Date.now()));
                    return new Response(await response.blob(), { status: 200, headers });
                  },
                },
              ],
            },
          },
        ],
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
