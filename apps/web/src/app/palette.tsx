import { Spotlight, type SpotlightActionData } from '@mantine/spotlight';
import { IconCar, IconSearch } from '@tabler/icons-react';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useVehicles } from '../api/queries.js';
import { VIEWS } from './navigation.js';

/** Go anywhere by typing: views, and the windows or salt of a vehicle. */
export function Palette({ onShortcuts }: { readonly onShortcuts: () => void }) {
  const navigate = useNavigate();
  const { data: vehicles = [] } = useVehicles();
  const actions = useMemo<SpotlightActionData[]>(
    () => [
      ...VIEWS.map(({ path, label, icon: Icon, key }) => ({
        id: path,
        label,
        description: `g then ${key}`,
        leftSection: <Icon size={20} />,
        onClick: () => void navigate(path),
      })),
      ...vehicles.flatMap((vehicle) => [
        {
          id: `windows-${vehicle.id}`,
          label: `${vehicle.name}: windows`,
          description: 'When, where and how over the week',
          leftSection: <IconCar size={20} />,
          onClick: () => void navigate(`/windows/${vehicle.id}`),
        },
        {
          id: `salt-${vehicle.id}`,
          label: `${vehicle.name}: salt`,
          description: 'Load and clock over the season',
          leftSection: <IconCar size={20} />,
          onClick: () => void navigate(`/salt/${vehicle.id}`),
        },
      ]),
      { id: 'shortcuts', label: 'Keyboard shortcuts', description: '?', onClick: onShortcuts },
    ],
    [navigate, onShortcuts, vehicles],
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
