import { ActionIcon, Menu, Tooltip, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { spotlight } from '@mantine/spotlight';
import { IconDots, IconKeyboard, IconMoon, IconSearch, IconSun } from '@tabler/icons-react';
import { Suspense } from 'react';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { Loading } from '../parts/states.js';
import classes from './frame.module.css';
import { useRole } from '../api/access-queries.js';
import { Door } from '../features/access/door.js';
import { AccountMenu } from './account-menu.js';
import { type View, viewsFor } from './navigation.js';
import { NowStrip } from './now-strip.js';
import { Palette } from './palette.js';
import { ShortcutSheet, useShortcuts } from './shortcuts.js';

function Tools({ onSheet }: { readonly onSheet: () => void }) {
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
      <NowStrip />
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
      <AccountMenu />
    </div>
  );
}

/** Views that are opened less often. */
function MoreViews({ views }: { readonly views: readonly View[] }) {
  const { pathname } = useLocation();
  const isHere = views.some(({ path }) => pathname.startsWith(path));
  return (
    <Menu position="bottom-end" withinPortal={false}>
      <Menu.Target>
        <button type="button" className={classes.more} data-here={isHere || undefined}>
          <IconDots size={18} aria-hidden />
          <span>More</span>
        </button>
      </Menu.Target>
      <Menu.Dropdown>
        {views.map(({ path, label, icon: Icon }) => (
          <Menu.Item key={path} component={Link} to={path} leftSection={<Icon size={18} aria-hidden />}>
            {label}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
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
      <header className={`${classes.bar} no-print`}>
        <Link to="/" className={classes.brand} aria-label="Keen Rinse, this morning">
          <img src="/mark.svg" alt="" width={30} height={30} />
          <span>Keen Rinse</span>
        </Link>
        <nav className={classes.nav} aria-label="Views">
          {views
            .filter(({ isMore }) => !isMore)
            .map(({ path, label, short, icon: Icon }) => (
              <NavLink key={path} to={path} end={path === '/'} aria-label={label}>
                <Icon size={18} aria-hidden />
                <span>{short}</span>
              </NavLink>
            ))}
          <MoreViews views={views.filter(({ isMore }) => isMore)} />
        </nav>
        <Tools onSheet={open} />
      </header>
      <main id="main" tabIndex={-1}>
        <Suspense fallback={<Loading what="Opening" />}>
          <Outlet />
        </Suspense>
      </main>
      <nav className={`${classes.phoneBar} no-print`} aria-label="Main views">
        {views
          .filter(({ onPhoneBar }) => onPhoneBar)
          .map(({ path, short, icon: Icon }) => (
            <NavLink key={path} to={path} end={path === '/'}>
              <Icon size={22} aria-hidden />
              {short}
            </NavLink>
          ))}
        <button type="button" onClick={spotlight.open}>
          <IconDots size={22} aria-hidden />
          More
        </button>
      </nav>
      <Palette onShortcuts={open} />
      <ShortcutSheet opened={sheet} onClose={close} />
    </div>
  );
}
