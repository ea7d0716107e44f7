import '@fontsource-variable/archivo';
import '@mantine/core/styles.css';
import './app.css';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider, notifyManager } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';

import { Broken } from './app/Broken';
import { DeviceSign } from './app/DeviceSign';
import { Pages } from './app/Pages';
import { schemes } from './frame/scheme';
import { OutboxProvider } from './app/OutboxProvider';
import { install } from './planner/install';
import { cssVariables, theme } from './theme';

// An answer is drawn in the same turn in which it came, not after a timer.
notifyManager.setScheduler(queueMicrotask);

// With no network a plan comes from this device: nothing is put off until there is one.
const queries = new QueryClient({
  defaultOptions: { queries: { networkMode: 'always' }, mutations: { networkMode: 'always' } },
});

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');

install();

createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <MantineProvider
        theme={theme}
        cssVariablesResolver={cssVariables}
        colorSchemeManager={schemes}
        defaultColorScheme="auto"
      >
        <ErrorBoundary FallbackComponent={Broken}>
          <OutboxProvider>
            <Pages />
            <DeviceSign />
          </OutboxProvider>
        </ErrorBoundary>
      </MantineProvider>
    </QueryClientProvider>
  </StrictMode>,
);
