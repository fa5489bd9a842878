import react from '@vitejs/plugin-react';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
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
              test: /node_modules[/](@mantine[/](core|hooks|form|notifications|spotlight)|@floating-ui|dayjs)[/]/,
              priority: 20,
            },
            { name: 'charts', test: /node_modules[/](apexcharts|react-apexcharts)[/]/, priority: 10 },
          ],
        },
      },
    },
  },
});
