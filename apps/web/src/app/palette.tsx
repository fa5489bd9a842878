import { Spotlight, type SpotlightActionData } from '@mantine/spotlight';
import { IconCar, IconSearch } from '@tabler/icons-react';
import type { VehicleRecord } from '@keen/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useVehicles } from '../api/queries.js';
import { useRole } from '../api/access-queries.js';
import { viewsFor } from './navigation.js';

const OF_VEHICLE = [
  { path: 'windows', label: 'windows', description: 'When, where and how over the week' },
  { path: 'balance', label: 'balance', description: 'Methods side by side' },
  { path: 'salt', label: 'salt', description: 'Load and clock over the season' },
  { path: 'condition', label: 'condition', description: 'Soil, protection and water by zone' },
] as const;

const NOTHING: readonly VehicleRecord[] = [];

/** Go anywhere by typing: views, and what there is about a vehicle. */
export function Palette({ onShortcuts }: { readonly onShortcuts: () => void }) {
  const navigate = useNavigate();
  const role = useRole();
  const { data: known = [] } = useVehicles();
  const vehicles = role === 'helper' ? NOTHING : known;
  const actions = useMemo<SpotlightActionData[]>(
    () => [
      ...viewsFor(role).map(({ path, label, icon: Icon, key }) => ({
        id: path,
        label,
        description: `g then ${key}`,
        leftSection: <Icon size={20} />,
        onClick: () => void navigate(path),
      })),
      ...vehicles.flatMap((vehicle) =>
        OF_VEHICLE.map(({ path, label, description }) => ({
          id: `${path}-${vehicle.id}`,
          label: `${vehicle.name}: ${label}`,
          description,
          leftSection: <IconCar size={20} />,
          onClick: () => void navigate(`/${path}/${vehicle.id}`),
        })),
      ),
      { id: 'shortcuts', label: 'Keyboard shortcuts', description: '?', onClick: onShortcuts },
    ],
    [navigate, onShortcuts, role, vehicles],
  );
  return (
    <Spotlight
      actions={actions}
      shortcut={['mod + K', '/']}
      limit={8}
      highlightQuery
      scrollable
      maxHeight={420}
      nothingFound="Nothing of that name"
      searchProps={{
        leftSection: <IconSearch size={18} />,
        placeholder: 'Go to a view or a vehicle',
        'aria-label': 'Go to a view or a vehicle',
      }}
    />
  );
}
