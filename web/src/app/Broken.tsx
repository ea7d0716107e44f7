import { Button, Text } from '@mantine/core';
import type { FallbackProps } from 'react-error-boundary';
import { fileName, saveFile } from '../common/saveFile';
import { lastTyped } from '../job/lastTyped';
import { app } from '../words';

/** What stands in place of a page that broke: nothing typed is lost, and it can be taken away as a file. */
export function Broken({ resetErrorBoundary }: FallbackProps) {
  const typed = lastTyped();
  return (
    <main style={{ padding: '2rem', maxWidth: '60ch' }} role="alert">
      <Text component="h1" fw={700} size="xl">
        {app.broken}
      </Text>
      <p>{app.brokenLong}</p>
      {typed && (
        <Button
          mr="sm"
          onClick={() => {
            saveFile(
              `${fileName(typed.name)}.setfirm.json`,
              'application/json',
              JSON.stringify(typed, null, 2),
            );
          }}
        >
          {app.saveTyped}
        </Button>
      )}
      <Button variant="default" onClick={resetErrorBoundary}>
        {app.tryAgain}
      </Button>{' '}
      <Button variant="default" component="a" href="/">
        {app.backToYard}
      </Button>
    </main>
  );
}
