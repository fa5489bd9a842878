import { describe, expect, it } from '@jest/globals';
import {
  type Customer,
  DEFAULT_DISPLAY,
  type Finding,
  type MessageRecord,
  type UnsentMessage,
  type WashRecord,
} from '@keen/core';
import { makeFormat } from '../../format/format.js';
import {
  messageText,
  PLACEHOLDERS,
  SHIPPED_TEMPLATES,
  unknownPlaceholders,
} from '../../words/message-words.js';
import { availabilityText, customerErrors, customerFrom, draftOf, NEW_CUSTOMER } from './customer-form.js';
import { messagesFile } from './messages-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');
const at = (text: string): number => Date.parse(`${text}:00-05:00`);
const day = { openMinute: 480, closeMinute: 1020 };

const CUSTOMER: Customer = {
  id: 'orla',
  name: 'Orla Venn',
  contact: 'text',
  notes: 'Evenings.',
  photoConsent: 'public',
  consentMs: 1,
  availability: [day, day, day, day, day, null, null],
};

describe('the form of a customer', () => {
  it('comes back as it went in, with the cars', () => {
    const cars = [
      { id: 'a', customerId: 'orla' },
      { id: 'b', customerId: null },
    ];
    const { id: _, consentMs: __, ...fields } = CUSTOMER;
    expect(customerFrom(draftOf(CUSTOMER, cars))).toEqual({ ...fields, vehicleIds: ['a'] });
    expect(customerFrom(draftOf({ ...CUSTOMER, availability: null }, cars)).availability).toBeNull();
  });

  it('wants a name, and no day that ends as it begins', () => {
    expect(customerErrors(NEW_CUSTOMER)).toEqual({ name: expect.any(String) });
    const wrong = {
      ...NEW_CUSTOMER,
      name: 'x',
      isLimited: true,
      hours: [{ openMinute: 600, closeMinute: 600 }],
    };
    expect(customerErrors(wrong)).toEqual({ 'openHours.0': expect.any(String) });
    expect(customerErrors({ ...wrong, isLimited: false })).toEqual({});
  });

  it.each([
    { availability: null, text: 'Cars are available at any time' },
    { availability: Array(7).fill(null), text: 'Cars can never be had' },
    { availability: CUSTOMER.availability, text: 'Cars are available Mon to Fri 08:00–17:00' },
    {
      availability: [day, null, day, null, null, { openMinute: 600, closeMinute: 720 }, null],
      text: 'Cars are available Mon 08:00–17:00, Wed 08:00–17:00, and Sat 10:00–12:00',
    },
  ])('says $text', ({ availability, text }) => {
    expect(availabilityText(availability)).toBe(text);
  });
});

const WASH = {
  id: 'w',
  vehicleId: 'suv',
  placeId: 'bay',
  startMs: at('2026-01-16T10:00'),
} as unknown as WashRecord;
const UNTOLD: UnsentMessage = {
  kind: 'moved',
  customerId: 'orla',
  vehicleId: 'suv',
  wash: WASH,
  lastSaid: { startMs: at('2026-01-15T09:00'), placeId: 'bay' },
  against: null,
  overnightC: null,
};
const around = {
  customers: [CUSTOMER],
  vehicles: [{ id: 'suv', name: 'Grey SUV' }],
  places: [{ id: 'bay', name: 'Pier Road bay' }],
  format,
};

describe('the words of a message', () => {
  it.each(Object.entries(SHIPPED_TEMPLATES))('%s uses only placeholders that are known', (_, template) => {
    expect(unknownPlaceholders(template)).toEqual([]);
  });

  it('tell a move with both hours and the reason', () => {
    const frozen = {
      ruleId: 'daylight',
      level: 'block',
      actual: null,
      limit: null,
      unit: 'none',
    } as unknown as Finding;
    const text = messageText(
      SHIPPED_TEMPLATES.moved,
      { ...UNTOLD, against: { verdict: 'no', limiting: frozen } },
      around,
    );
    expect(text).toContain('the wash of the grey SUV moves from');
    expect(text).toContain('10:00, at Pier Road bay');
    expect(text).toMatch(/The reason: [A-Z].+\./);
    expect(text).not.toMatch(/[{}]/);
  });

  it('say that the plan changed where the weather is not the reason', () => {
    expect(messageText('{reason}', UNTOLD, around)).toBe('the plan of the week had to change.');
  });

  it('name what tonight needs, and no more', () => {
    const care = (overnightC: number | null) =>
      messageText('{care}', { ...UNTOLD, overnightC }, around).split('\n');
    expect(care(-0.5)).toHaveLength(4);
    expect(care(-9)).toHaveLength(7);
    expect(messageText('{cold}', { ...UNTOLD, overnightC: -9 }, around)).toContain('−9.0 °C');
  });

  it('leave what they do not know as it is written', () => {
    expect(messageText('{customer} {moon}', UNTOLD, around)).toBe('Orla Venn {moon}');
    expect(unknownPlaceholders('{customer} {moon} {}')).toEqual(['moon', '']);
    expect(PLACEHOLDERS.every((name) => !messageText(`{${name}}`, UNTOLD, around).includes('{'))).toBe(true);
  });
});

describe('messages as a file', () => {
  it('stand the oldest first, each with whom it is for', () => {
    const message = (id: string, createdMs: number): MessageRecord => ({
      id,
      customerId: 'orla',
      vehicleId: 'suv',
      washId: 'w',
      toldStartMs: null,
      toldPlaceId: null,
      kind: 'booked',
      body: `body ${id}`,
      createdMs,
      exportedMs: null,
    });
    const text = messagesFile([message('b', 2), message('a', 1)], around);
    expect(text.indexOf('body a')).toBeLessThan(text.indexOf('body b'));
    expect(text.match(/To: Orla Venn \(text\)/g)).toHaveLength(2);
    expect(text).toContain('About: Booked, Grey SUV');
  });
});
