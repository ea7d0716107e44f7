import { ActionIcon, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconKeyboard, IconMoon, IconSun } from '@tabler/icons-react';
import { Suspense, lazy, useState, type ReactNode } from 'react';
import { Link } from 'wouter';
import { app } from '../words';
import classes from './AppFrame.module.css';
import { FileDrop } from './FileDrop';

const KeySheet = lazy(() => import('./KeySheet').then((m) => ({ default: m.KeySheet })));

interface AppFrameProps {
  /** What the window is called, before the program's name. */
  page: string;
  /** The job's name, or the page's. */
  title: ReactNode;
  tools?: ReactNode;
  /** The steps of a job; the yard has none. */
  rail?: ReactNode;
  children: ReactNode;
}

/** The frame of every page: a head of wet slate with a chalk line under it, the rail, and the work. */
export function AppFrame({ page, title, tools, rail, children }: AppFrameProps) {
  const { setColorScheme } = useMantineColorScheme();
  const dark = useComputedColorScheme('light') === 'dark';
  const [keys, setKeys] = useState<'unasked' | 'open' | 'shut'>('unasked');
  const toggle = () => {
    setKeys((now) => (now === 'open' ? 'shut' : 'open'));
  };
  useHotkeys([
    ['?', toggle],
    ['shift+?', toggle],
  ]);
  return (
    <FileDrop>
      <div className={classes.frame} data-rail={rail !== undefined}>
        <title>{app.windowTitle(page)}</title>
        <a href="#work" className={classes.skip} data-off-paper>
          {app.skip}
        </a>
        <header className={classes.head} data-frame>
          <Link to="/" className={classes.mark} aria-label={app.home}>
            <svg width="26" height="26" viewBox="0 0 32 32" aria-hidden>
              <path d="M5 22 L27 22 L27 26 L5 26 Z" fill="#c08f4c" />
              <path d="M5 13 L27 10.5 L27 22 L5 22 Z" fill="#d9d5ca" />
              <path d="M3 7 L29 7" stroke="#7fa9ea" strokeWidth="2" />
            </svg>
            <span>{app.name}</span>
          </Link>
          <h1 className={classes.title}>{title}</h1>
          <div className={classes.tools} data-off-paper>
            {tools}
            <ActionIcon
              variant="subtle"
              color="gray.2"
              aria-label={app.scheme(dark)}
              onClick={() => {
                setColorScheme(dark ? 'light' : 'dark');
              }}
            >
              {dark ? <IconSun size={18} aria-hidden /> : <IconMoon size={18} aria-hidden />}
            </ActionIcon>
            <ActionIcon
              className={classes.keys ?? ''}
              variant="subtle"
              color="gray.2"
              aria-label={app.keys}
              onClick={toggle}
            >
              <IconKeyboard size={19} aria-hidden />
            </ActionIcon>
          </div>
        </header>
        {rail !== undefined && (
          <div className={classes.rail} data-off-paper>
            {rail}
          </div>
        )}
        <main id="work" className={classes.work} tabIndex={-1}>
          {children}
        </main>
        {keys !== 'unasked' && (
          <Suspense fallback={null}>
            <KeySheet
              opened={keys === 'open'}
              onClose={() => {
                setKeys('shut');
              }}
            />
          </Suspense>
        )}
      </div>
    </FileDrop>
  );
}
