import type { MessageRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { MESSAGE_NAMES, nameOf } from '../../words/names.js';

interface Around {
  readonly customers: readonly { readonly id: string; readonly name: string; readonly contact: string }[];
  readonly vehicles: readonly { readonly id: string; readonly name: string }[];
  readonly format: Format;
}

/** Messages as one text file, each with whom it is for, the oldest first. */
export function messagesFile(
  messages: readonly MessageRecord[],
  { customers, vehicles, format }: Around,
): string {
  const text = ({ customerId, vehicleId, kind, body, createdMs }: MessageRecord): string => {
    const customer = customers.find(({ id }) => id === customerId);
    return [
      `To: ${customer?.name ?? customerId}${customer?.contact ? ` (${customer.contact})` : ''}`,
      `About: ${MESSAGE_NAMES[kind]}, ${nameOf(vehicles, vehicleId)}`,
      `Written: ${format.dayTime(createdMs)}`,
      '',
      body,
    ].join('\n');
  };
  const inOrder = [...messages].sort((a, b) => a.createdMs - b.createdMs);
  return `${inOrder.map(text).join('\n\n----\n\n')}\n`;
}
