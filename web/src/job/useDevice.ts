import { useLocalStorage } from '@mantine/hooks';
import { useEffect } from 'react';

const madeUp = (): string => `phone ${Math.random().toString(36).slice(2, 6)}`;

/** A name that this device keeps: by it the others know who told what. */
export function useDevice(): string {
  const [device] = useLocalStorage({
    key: 'setfirm-device',
    defaultValue: madeUp(),
    getInitialValueInEffect: false,
  });
  useEffect(() => {
    localStorage.setItem('setfirm-device', JSON.stringify(device));
  }, [device]);
  return device;
}
