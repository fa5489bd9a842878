import { z } from 'zod';

/** Schema fields that several sums share; the functions themselves check the physical ranges. */
export const number = (unit: string): z.ZodNumber => z.number().meta({ unit });
export const fraction = z.number().min(0).max(1).meta({ unit: 'fraction' });
export const airTempC = number('°C');
export const latitudeDeg = z.number().min(-90).max(90).meta({ unit: 'deg, north positive' });
export const longitudeDeg = z.number().min(-180).max(180).meta({ unit: 'deg, east positive' });
export const at = z.iso.datetime({ offset: true }).meta({ unit: 'ISO 8601 instant with offset' });
export const agent = z.enum(['NaCl', 'MgCl2', 'CaCl2']);
export const massPercent = number('% of the anhydrous salt');
