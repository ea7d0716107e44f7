// The planner, compiled for the browser, in a thread of its own: what is typed never waits for it.

/** What is exported to the page (SetFirm.Page). */
interface Answering {
  Keep: (key: string, json: string) => boolean;
  Answer: (name: string, body: string, key: string) => string;
}

interface Runtime {
  getAssemblyExports: (name: string) => Promise<{ SetFirm: { Page: { Answering: Answering } } }>;
  getConfig: () => { mainAssemblyName: string };
}

/** What the worker is asked; answered in the order of asking. */
export type Asking =
  | { id: number; kind: 'boot'; url: string }
  | { id: number; kind: 'keep'; key: string; json: string }
  | { id: number; kind: 'answer'; name: string; body: string; key: string };

/** What came of it: a status and a text, or the reason why nothing could be done. */
export type Answered = { id: number; status: number; text: string } | { id: number; broken: string };

// A runtime by itself, not a helper of one in the page.
(globalThis as { dotnetSidecar?: boolean }).dotnetSidecar = true;

async function boot(url: string): Promise<Answering> {
  const { dotnet } = (await import(/* @vite-ignore */ url)) as { dotnet: { create: () => Promise<Runtime> } };
  const runtime = await dotnet.create();
  return (await runtime.getAssemblyExports(runtime.getConfig().mainAssemblyName)).SetFirm.Page.Answering;
}

let booted: Promise<Answering> | null = null;

async function done(asking: Asking): Promise<Answered> {
  if (asking.kind === 'boot') booted ??= boot(asking.url);
  if (!booted) throw new Error('nothing is there yet');
  const planner = await booted;
  if (asking.kind === 'boot') return { id: asking.id, status: 200, text: '' };
  if (asking.kind === 'keep')
    return { id: asking.id, status: planner.Keep(asking.key, asking.json) ? 200 : 422, text: '' };
  const said = planner.Answer(asking.name, asking.body, asking.key);
  const blank = said.indexOf(' ');
  return { id: asking.id, status: Number(said.slice(0, blank)), text: said.slice(blank + 1) };
}

onmessage = async ({ data }: MessageEvent<Asking>) => {
  try {
    postMessage(await done(data));
  } catch (e) {
    postMessage({ id: data.id, broken: String(e) } satisfies Answered);
  }
};
