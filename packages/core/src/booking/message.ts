export const MESSAGE_KINDS = ['booked', 'moved', 'called-off', 'freeze-care'] as const;
/** What a customer is told: their wash is planned, was moved, will not be, or what to see to tonight. */
export type MessageKind = (typeof MESSAGE_KINDS)[number];
