import {
  Checkbox,
  createTheme,
  defaultVariantColorsResolver,
  type MantineColorsTuple,
  Radio,
  RangeSlider,
  Slider,
  type VariantColorsResolver,
} from '@mantine/core';

/** Brine: the colour of what goes. */
const brine: MantineColorsTuple = [
  '#e3f4f3',
  '#cfe9e8',
  '#a3d5d3',
  '#74c0bd',
  '#4eaeab',
  '#35a29f',
  '#239c98',
  '#0f8883',
  '#00706c',
  '#005a57',
];
/** Sodium lamp: the one colour for "act". */
const lamp: MantineColorsTuple = [
  '#fff3e0',
  '#ffe5c2',
  '#ffcc8f',
  '#ffb454',
  '#ffa32b',
  '#f59211',
  '#d97c05',
  '#b46400',
  '#8f4f00',
  '#6b3a00',
];

/** Wet asphalt by night. */
const dark: MantineColorsTuple = [
  '#e9f0ef',
  '#c9d6d7',
  '#a9b9bc',
  '#8497a0',
  '#4b5c64',
  '#34434a',
  '#1f2a2f',
  '#182125',
  '#10171a',
  '#0b1013',
];

const INK = 'var(--kr-ink)';
const PANEL = 'var(--kr-panel)';

/** What is no more than a way on is ink, as a link is. */
const variantColorResolver: VariantColorsResolver = (input) => {
  const colors = defaultVariantColorsResolver(input);
  const isPlain = input.variant === 'subtle' && (!input.color || input.color === 'brine');
  return isPlain ? { ...colors, color: INK } : colors;
};

export const theme = createTheme({
  fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
  fontFamilyMonospace: "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace",
  headings: { fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif", fontWeight: '700' },
  colors: { brine, lamp, dark },
  primaryColor: 'brine',
  primaryShade: { light: 9, dark: 3 },
  autoContrast: true,
  luminanceThreshold: 0.32,
  defaultRadius: 'sm',
  cursorType: 'pointer',
  respectReducedMotion: true,
  variantColorResolver,
  // Teal is for what goes: what one chooses and moves is ink.
  components: {
    Checkbox: Checkbox.extend({ defaultProps: { color: INK, iconColor: PANEL } }),
    Radio: Radio.extend({ defaultProps: { color: INK, iconColor: PANEL } }),
    Slider: Slider.extend({ defaultProps: { color: INK } }),
    RangeSlider: RangeSlider.extend({ defaultProps: { color: INK } }),
  },
});
