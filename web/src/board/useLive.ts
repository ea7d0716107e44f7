import type { HubConnection } from '@microsoft/signalr';
import { useEffect, useRef, useState } from 'react';
import { http } from '../api/client';
import type { Here } from './session';
import type { Role } from './thing';

/** The program's clock, as it was read once. */
export interface Clock {
  /** By this device's clock, milliseconds. */
  at: number;
  /** By the program's. */
  now: number;
  /** Seconds that pass on it in one. */
  times: number;
}

/** The time by the program's clock, at a moment by this device's. */
export const timeBy = (clock: Clock, at = Date.now()): number => clock.now + (at - clock.at) * clock.times;

interface Ports {
  /** There are lines after those that are known. */
  onNews: () => void;
  /** The job itself was changed. */
  onChanged: () => void;
}

const AGAIN_MS = [0, 500, 1_000, 2_000, 4_000];
const LONGEST_MS = 5_000;

/**
 * Hears of news of a job, and is seen there. What is new is asked for by whoever hears; a message lost costs nothing.
 * @returns Whether the program is heard, who else is there, and the time by its clock.
 */
export function useLive(job: string, device: string, role: Role, ports: Ports) {
  const [online, setOnline] = useState(false);
  const [here, setHere] = useState<Here[]>([]);
  const [clock, setClock] = useState<Clock>(() => ({ at: Date.now(), now: Date.now(), times: 1 }));
  const connection = useRef<HubConnection | null>(null);
  const latest = useRef(ports);
  const who = useRef({ device, role });
  useEffect(() => {
    latest.current = ports;
    who.current = { device, role };
  });

  useEffect(() => {
    let gone = false;
    const look = async () => {
      const { data } = await http.GET('/api/jobs/{id}/here', { params: { path: { id: job } } });
      if (data && !gone) setHere(data);
    };
    const askTime = async () => {
      const asked = Date.now();
      const { data } = await http.GET('/api/clock');
      if (!data || gone) return;
      // Half of the way there and back is taken for the way back.
      setClock({ at: (asked + Date.now()) / 2, now: Date.parse(data.now), times: data.times });
    };
    const join = async (hub: HubConnection) => {
      await askTime().catch(() => undefined);
      await hub.invoke('Watch', job, who.current.device, who.current.role, Date.now());
      if (gone) return;
      setOnline(true);
      latest.current.onNews(); // whatever came meanwhile
      latest.current.onChanged();
    };
    let timer: ReturnType<typeof setTimeout> | undefined;
    // The board stands before the channel is fetched.
    const open = async () => {
      const { HubConnectionBuilder, LogLevel } = await import('@microsoft/signalr');
      const hub = new HubConnectionBuilder()
        .withUrl('/live')
        .withAutomaticReconnect({
          nextRetryDelayInMilliseconds: (c) => AGAIN_MS[c.previousRetryCount] ?? LONGEST_MS,
        })
        .configureLogging(LogLevel.None)
        .build();
      hub.on('news', () => {
        latest.current.onNews();
        void askTime().catch(() => undefined); // clocks drift apart in a day
      });
      hub.on('changed', () => {
        latest.current.onChanged();
      });
      hub.on('here', () => void look().catch(() => undefined));
      hub.onreconnecting(() => {
        setOnline(false);
      });
      hub.onreconnected(() => void join(hub).catch(() => undefined));
      if (gone) return;
      connection.current = hub;
      await hub.start();
      await join(hub);
    };
    const start = () => {
      open().catch(() => {
        void connection.current?.stop();
        if (!gone) timer = setTimeout(start, LONGEST_MS);
      });
    };
    start();
    return () => {
      gone = true;
      clearTimeout(timer);
      void connection.current?.stop();
      connection.current = null;
    };
  }, [job]);

  useEffect(() => {
    const hub = connection.current;
    // Where it is not connected yet it says so when it is.
    if (hub) void hub.invoke('Watch', job, device, role, Date.now()).catch(() => undefined);
  }, [job, device, role]);

  return { online, here, clock };
}
