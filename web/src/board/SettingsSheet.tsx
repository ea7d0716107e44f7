import { useSyncExternalStore } from 'react';
import { Link, useSearch } from 'wouter';
import { duration } from '../format/format';
import { onWhole, wholeNow } from '../planner/whole';
import { board as words } from '../words';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';
import { Sheet } from './Sheet';
import { Tick } from './Tick';
import type { Role } from './thing';
import type { AlertSettings } from './useAlerts';

interface SettingsSheetProps {
  settings: AlertSettings;
  onSettings: (settings: AlertSettings) => void;
  awake: boolean;
  onClose: () => void;
}

/** Under this a clock's error is not told. */
const TOLD_FROM_S = 30;
const S_IN_MIN = 60;

/** How the board calls, whose part of it is shown, and who else has it open. */
export function SettingsSheet({ settings, onSettings, awake, onClose }: SettingsSheetProps) {
  const { job, role, chooseRole, here, clockOffS, rehearsal } = useBoard();
  const search = useSearch();
  const whole = useSyncExternalStore(onWhole, wholeNow);
  const off = Math.abs(clockOffS);
  return (
    <Sheet title={words.settings} onClose={onClose}>
      {(['sound', 'vibrate', 'voice', 'night'] as const).map((which) => (
        <Tick
          key={which}
          label={words[which]}
          on={settings[which]}
          onChange={(on) => {
            onSettings({ ...settings, [which]: on });
          }}
        />
      ))}
      <p>{awake ? words.awake : words.notAwake}</p>
      {rehearsal === null && <p data-testid="by-itself">{words.byItself[whole]}</p>}
      <h3>{words.role}</h3>
      <div className={partsStyles.row} role="group" aria-label={words.role}>
        {(Object.keys(words.roles) as Role[]).map((r) => (
          <button
            key={r}
            type="button"
            aria-pressed={role === r}
            onClick={() => {
              chooseRole(r);
            }}
          >
            {words.roles[r]}
          </button>
        ))}
      </div>
      <h3>{words.hereLong}</h3>
      <ul data-testid="here">
        {here.map((h, i) => (
          <li key={i}>
            {h.device || words.nameless}: {words.roles[h.role]}
          </li>
        ))}
      </ul>
      {rehearsal === null && (
        <p>
          <Link to={`/jobs/${job}/rehearse${search === '' ? '' : `?${search}`}`} className={partsStyles.link}>
            {words.rehearse.open}
          </Link>
        </p>
      )}
      {off > TOLD_FROM_S && <p role="alert">{words.clockOff(duration(off / S_IN_MIN))}</p>}
    </Sheet>
  );
}
