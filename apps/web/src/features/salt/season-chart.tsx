import type { SaltAnswer } from '@keen/core';
import { useComputedColorScheme } from '@mantine/core';
import type { ApexOptions } from 'apexcharts';
import RawChart from 'react-apexcharts';
import { totalLoad } from './salt-view.js';

// The package is CommonJS; its default export may arrive wrapped.
const Chart = (RawChart as unknown as { default?: typeof RawChart }).default ?? RawChart;

/** Load and clock over the season. */
export function SeasonChart({ salt }: { readonly salt: SaltAnswer }) {
  const scheme = useComputedColorScheme('light');
  const ink = scheme === 'dark' ? '#e9f0ef' : '#172023';
  const colors = scheme === 'dark' ? ['#d9a970', '#74d3cf'] : ['#8a5526', '#005a57'];
  const options: ApexOptions = {
    chart: {
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      foreColor: ink,
      fontFamily: 'inherit',
      background: 'transparent',
    },
    theme: { mode: scheme },
    colors,
    stroke: { width: [2.5, 2.5], dashArray: [0, 5], curve: 'straight' },
    xaxis: { type: 'datetime', labels: { datetimeUTC: false } },
    yaxis: [
      { title: { text: 'Underbody load, g/m²' }, decimalsInFloat: 0, min: 0 },
      { opposite: true, title: { text: 'Salt at work, h' }, decimalsInFloat: 0, min: 0 },
    ],
    annotations: {
      xaxis: salt.washesMs.map((x) => ({
        x,
        borderColor: colors[1],
        strokeDashArray: 0,
        opacity: 0.55,
        label: { text: 'wash', style: { color: ink, background: 'transparent', fontSize: '11px' } },
      })),
    },
    legend: { position: 'top', horizontalAlign: 'left' },
    tooltip: { x: { format: 'd MMM' }, y: { formatter: (value) => value.toFixed(1) } },
  };
  const series = [
    {
      name: 'Underbody load',
      data: salt.days.map((day) => ({ x: day.atMs, y: totalLoad(day.zones, 'underbody') })),
    },
    { name: 'Clock over the car', data: salt.days.map((day) => ({ x: day.atMs, y: day.activeHours })) },
  ];
  return <Chart type="line" height={300} options={options} series={series} />;
}
