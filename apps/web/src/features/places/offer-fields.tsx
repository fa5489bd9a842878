import { Checkbox, Fieldset, Group, Stack } from '@mantine/core';
import type { PlaceKind } from '@keen/core';
import { fromMinor, toMinor } from '../../format/minor.js';
import { NumberField } from '../../parts/number-field.js';
import { methodName } from '../../words/names.js';
import { DEFAULT_TARIFF, methodsAt, type OfferDraft, type TariffDraft } from '../../drafts/place-draft.js';
import type { PlaceErrors } from '../../drafts/place-errors.js';

interface OfferFieldsProps {
  readonly kind: PlaceKind;
  readonly offers: readonly OfferDraft[];
  readonly currency: string;
  readonly errors: PlaceErrors;
  readonly onChange: (offers: readonly OfferDraft[]) => void;
}

/** Ways to wash that this kind of place can offer, each with the price of a visit. */
export function OfferFields({ kind, offers, currency, errors, onChange }: OfferFieldsProps) {
  return (
    <Fieldset legend="Washed here">
      <Stack gap={6}>
        {methodsAt(kind).map((methodId) => {
          const offer = offers.find((entry) => entry.methodId === methodId);
          return (
            <Group key={methodId} wrap="nowrap" align="center" justify="space-between" mih={36}>
              <Checkbox
                label={methodName(methodId)}
                checked={offer !== undefined}
                onChange={(event) =>
                  onChange(
                    event.currentTarget.checked
                      ? [...offers, { methodId, priceMinor: 0 }]
                      : offers.filter((entry) => entry.methodId !== methodId),
                  )
                }
              />
              {offer && (
                <NumberField
                  label="A visit"
                  unit={currency}
                  value={fromMinor(offer.priceMinor)}
                  onChange={(price) =>
                    onChange(
                      offers.map((entry) =>
                        entry.methodId === methodId ? { ...entry, priceMinor: toMinor(price) } : entry,
                      ),
                    )
                  }
                  decimals={2}
                  error={errors[`offers.${methodId}`]}
                />
              )}
            </Group>
          );
        })}
        {errors.offers && (
          <p role="alert" style={{ margin: 0, color: 'var(--kr-lamp)' }}>
            {errors.offers}
          </p>
        )}
      </Stack>
    </Fieldset>
  );
}

interface TariffFieldsProps {
  readonly tariff: TariffDraft | null;
  readonly currency: string;
  readonly errors: PlaceErrors;
  readonly onChange: (tariff: TariffDraft | null) => void;
}

/** A coin or card meter: what the start buys, and each further block. */
export function TariffFields({ tariff, currency, errors, onChange }: TariffFieldsProps) {
  return (
    <>
      <Checkbox
        label="There is a meter: seconds are paid"
        checked={tariff !== null}
        onChange={(event) => onChange(event.currentTarget.checked ? DEFAULT_TARIFF : null)}
      />
      {tariff && (
        <Fieldset legend="Meter">
          <Stack gap="xs">
            <Group grow align="start">
              <NumberField
                label="Start"
                unit={currency}
                value={fromMinor(tariff.startPriceMinor)}
                onChange={(price) => onChange({ ...tariff, startPriceMinor: toMinor(price) })}
                decimals={2}
                error={errors['tariff.startPriceMinor']}
              />
              <NumberField
                label="buys"
                unit="s"
                value={tariff.startSeconds}
                onChange={(startSeconds) => onChange({ ...tariff, startSeconds })}
                decimals={0}
                error={errors['tariff.startSeconds']}
              />
              <NumberField
                label="Each block"
                unit={currency}
                value={fromMinor(tariff.blockPriceMinor)}
                onChange={(price) => onChange({ ...tariff, blockPriceMinor: toMinor(price) })}
                decimals={2}
                error={errors['tariff.blockPriceMinor']}
              />
              <NumberField
                label="buys"
                unit="s more"
                value={tariff.blockSeconds}
                onChange={(blockSeconds) => onChange({ ...tariff, blockSeconds })}
                decimals={0}
                error={errors['tariff.blockSeconds']}
              />
            </Group>
            <Checkbox
              label="It can be paused: paid seconds are kept"
              checked={tariff.pausable}
              onChange={(event) => onChange({ ...tariff, pausable: event.currentTarget.checked })}
            />
          </Stack>
        </Fieldset>
      )}
    </>
  );
}
