import { Modal } from '@mantine/core';
import { app, keyList } from '../words';
import classes from './AppFrame.module.css';

/** What the keys do; fetched when it is asked for. */
export function KeySheet({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      title={app.keysTitle}
      closeButtonProps={{ 'aria-label': app.close }}
    >
      <dl className={classes.keyList}>
        {keyList.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
