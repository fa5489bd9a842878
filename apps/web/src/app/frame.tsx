import { ActionIcon, Tooltip, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { spotlight } from '@mantine/spotlight';
import { IconKeyboard, IconMoon, IconSearch, IconSettings, IconSun } from '@tabler/icons-react';
import { Suspense } from 'react';
import { Link, Outlet, useLocation } from 'react-router';
import { Loading } from '../parts/states.js';
import classes from './frame.module.css';
import { useRole } from '../api/access-queries.js';
import { Door } from '../features/access/door.js';
import { AccountMenu } from './account-menu.js';
import { ColdRuler } from './cold-ruler.js';
import { roomAt, roomsOf, type View, viewsFor } from './navigation.js';
import { NoSignal } from './no-signal.js';
import { SubViews } from './sub-views.js';
import { Palette } from './palette.js';
import { ShortcutSheet, useShortcuts } from './shortcuts.js';

function Tools({ onSheet, hasSettings }: { readonly onSheet: () => void; readonly hasSettings: boolean }) {
  const { setColorScheme } = useMantineColorScheme();
  const isDark = useComputedColorScheme('light') === 'dark';
  const tools = [
    {
      label: 'Go to a view or a vehicle (Ctrl K)',
      icon: IconSearch,
      act: spotlight.open,
      className: undefined,
    },
    { label: 'Keyboard shortcuts (?)', icon: IconKeyboard, act: onSheet, className: classes.keyboardOnly },
    {
      label: isDark ? 'Light theme' : 'Dark theme',
      icon: isDark ? IconSun : IconMoon,
      act: () => setColorScheme(isDark ? 'light' : 'dark'),
      className: undefined,
    },
  ];
  return (
    <div className={classes.tools}>
      {tools.map(({ label, icon: Icon, act, className }) => (
        <Tooltip key={label} label={label}>
          <ActionIcon
            className={className}
            variant="transparent"
            c="#e9f0ef"
            size="lg"
            aria-label={label}
            onClick={act}
          >
            <Icon size={20} />
          </ActionIcon>
        </Tooltip>
      ))}
      {hasSettings && (
        <Tooltip label="Settings">
          <ActionIcon
            component={Link}
            to="/settings"
            variant="transparent"
            c="#e9f0ef"
            size="lg"
            aria-label="Settings"
          >
            <IconSettings size={20} />
          </ActionIcon>
        </Tooltip>
      )}
      <AccountMenu />
    </div>
  );
}

/** The rooms of the program; the one that one is in is marked on all its pages. */
function Rooms({
  views,
  className,
  size,
}: {
  readonly views: readonly View[];
  readonly className: string | undefined;
  readonly size: number;
}) {
  const here = roomAt(useLocation().pathname);
  return (
    <nav className={className} aria-label="Rooms">
      {roomsOf(views).map(({ id, path, label, icon: Icon }) => (
        <Link key={id} to={path} aria-current={here === id ? 'true' : undefined}>
          <Icon size={size} aria-hidden />
          <span>{label}</span>
        </Link>
      ))}
    </nav>
  );
}

/** The frame of every view: bar, views, time and air, palette, shortcuts. */
export function Frame() {
  return (
    <Door>
      <Inside />
    </Door>
  );
}

function Inside() {
  const views = viewsFor(useRole());
  const [sheet, { open, close }] = useDisclosure(false);
  useShortcuts(open);
  return (
    <div className={classes.frame}>
      <a className={classes.skip} href="#main">
        To the content
      </a>
      <header className={`${classes.head} no-print`}>
        <div className={classes.bar}>
          <Link to="/" className={classes.brand} aria-label="Keen Rinse, this morning">
            <img src="/mark.svg" alt="" width={30} height={30} />
            <span>Keen Rinse</span>
          </Link>
          <Rooms views={views} className={classes.nav} size={18} />
          <Tools onSheet={open} hasSettings={views.some(({ room }) => room === 'tools')} />
        </div>
        <ColdRuler />
      </header>
      <div>
        <SubViews views={views} />
        <NoSignal />
      </div>
      <main id="main" tabIndex={-1}>
        <Suspense fallback={<Loading what="Opening" />}>
          <Outlet />
        </Suspense>
      </main>
      <Rooms views={views} className={`${classes.phoneBar} no-print`} size={22} />
      <Palette onShortcuts={open} />
      <ShortcutSheet opened={sheet} onClose={close} />
    </div>
  );
}
