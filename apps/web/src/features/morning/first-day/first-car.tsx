import { QUICK_LOOKS, type QuickLook } from '@keen/core';
import { Button, Group, Select, SimpleGrid, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useQuickLook } from '../../../api/looks-queries.js';
import { useClock, useSaveVehicle } from '../../../api/queries.js';
import { noticeOfFailure } from '../../../parts/notices.js';
import { BODY_NAMES, TONE_NAMES } from '../../../words/car-names.js';
import { QUICK_LOOK_NAMES } from '../../../words/look-words.js';
import { optionsOf } from '../../../words/names.js';
import { NEW_VEHICLE, vehicleFrom } from '../../../drafts/vehicle-form.js';
import classes from './first-day.module.css';
import { LAST_WASHES, type LastWash, washedBefore } from './last-wash.js';

/** The first car: what it is, when it was last washed, and how dirty it looks. */
export function FirstCar() {
  const { data: clock } = useClock();
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [bodyClass, setBodyClass] = useState(NEW_VEHICLE.bodyClass);
  const [paintTone, setPaintTone] = useState(NEW_VEHICLE.paintTone);
  const [last, setLast] = useState<LastWash>('unknown');
  const [look, setLook] = useState<QuickLook | null>(null);
  const vehicle = useSaveVehicle();
  const quickLook = useQuickLook();
  const keep = async (): Promise<void> => {
    setFault(name.trim() === '' ? 'Give it a name: colour and shape will do.' : null);
    if (name.trim() === '' || !clock) return;
    const before = washedBefore(last, clock.nowMs);
    const { id } = await vehicle.mutateAsync(
      vehicleFrom({ ...NEW_VEHICLE, name, bodyClass, paintTone, washedBefore: before }),
    );
    if (look) await quickLook.mutateAsync({ vehicleId: id, look });
  };
  return (
    <form
      noValidate
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        // With its car this form is gone, so that what fails is said as a notice.
        keep().catch(noticeOfFailure);
      }}
    >
      <TextInput
        label="Name of the car"
        description="Colour and shape; no plate"
        value={name}
        maxLength={80}
        onChange={(event) => {
          setName(event.currentTarget.value);
          setFault(null);
        }}
        error={fault}
      />
      <SimpleGrid cols={{ base: 1, xs: 3 }}>
        <Select
          label="Body"
          data={optionsOf(BODY_NAMES)}
          value={bodyClass}
          onChange={(value) => value && setBodyClass(value)}
          allowDeselect={false}
        />
        <Select
          label="Paint"
          data={optionsOf(TONE_NAMES)}
          value={paintTone}
          onChange={(value) => value && setPaintTone(value)}
          allowDeselect={false}
        />
        <Select
          label="Last washed"
          data={LAST_WASHES.map(({ id, name: label }) => ({ value: id, label }))}
          value={last}
          onChange={(value) => value && setLast(value)}
          allowDeselect={false}
        />
      </SimpleGrid>
      <div className={classes.looks} role="group" aria-label="How dirty is it, by eye?">
        <span>How dirty is it, by eye?</span>
        {QUICK_LOOKS.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={look === one}
            onClick={() => setLook(look === one ? null : one)}
          >
            {QUICK_LOOK_NAMES[one]}
          </button>
        ))}
      </div>
      <Group>
        <Button type="submit" color="lamp.3" loading={vehicle.isPending || quickLook.isPending}>
          Keep this car
        </Button>
      </Group>
    </form>
  );
}
