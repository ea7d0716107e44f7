// Keeps the program on the device: its files, the planner it takes along, and what was last read of the yard.
const FILES = __FILES__;
const SHELL = 'setfirm-shell-__VERSION__';
const PLANNER = 'setfirm-planner';
const READ = 'setfirm-read';
/** What is asked of the planner: the page sees to it by itself, so no key waits for this worker. */
const QUESTIONS = __QUESTIONS__;
/** How long the program is waited for before what is kept stands in. */
const PATIENCE_MS = 4000;
/** And for so long after it was waited for in vain it is waited for briefly only; but it is asked each time, since what is kept may be old. */
const GONE_MS = 10_000;
const BRIEF_MS = 1000;

// What stands in while there is no answer: lists and jobs, not the clock, nor who is here.
const KEPT =
  /^\/api\/(jobs|jobs\/removed|jobs\/[0-9a-f-]{36}|jobs\/[0-9a-f-]{36}\/log|bags|lumber|bars|kinds|coats|lessons|things|learnt|forecast|weather-files|session|preferences)$/;

self.addEventListener('install', (e) => {
  // Where the browser can be told, it does not even wake us for these.
  if ('addRoutes' in e) {
    const urlPattern = new URLPattern({
      pathname: `/api/(alive|along|${QUESTIONS.join('|')})`,
      baseURL: self.location.origin,
    });
    e.waitUntil(e.addRoutes([{ condition: { urlPattern }, source: 'network' }]).catch(() => undefined));
  }
  e.waitUntil(caches.open(SHELL).then((c) => c.addAll(FILES)));
});

self.addEventListener('activate', (e) => {
  const mine = [SHELL, PLANNER, READ];
  e.waitUntil(
    caches
      .keys()
      .then((all) =>
        Promise.all(
          all.filter((k) => k.startsWith('setfirm-') && !mine.includes(k)).map((k) => caches.delete(k)),
        ),
      )
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('message', (e) => {
  // A newer one waits until the page says so: nobody's pour is interrupted.
  if (e.data === 'takeOver') self.skipWaiting();
  else if (e.data?.keep) e.waitUntil(keep(e.data.keep).then((missing) => e.ports[0].postMessage(missing)));
});

let goneAt = -Infinity;

async function soon(request) {
  const patience = performance.now() - goneAt < GONE_MS ? BRIEF_MS : PATIENCE_MS;
  try {
    const answer = await fetch(request, { signal: AbortSignal.timeout(patience) });
    goneAt = -Infinity;
    return answer;
  } catch (e) {
    // A line that is only slow gets its full time again soon.
    if (patience === PATIENCE_MS) goneAt = performance.now();
    throw e;
  }
}

async function page(request) {
  try {
    return await soon(request);
  } catch {
    return (await caches.match('/', { cacheName: SHELL })) ?? Response.error();
  }
}

async function read(request) {
  const kept = await caches.open(READ);
  // The diary is read on from a place; what is kept is all of it.
  const url = new URL(request.url);
  const whole = url.searchParams.get('after') === '0' || !url.searchParams.has('after');
  const key = url.pathname.endsWith('/log') ? url.pathname : url.pathname + url.search;
  try {
    const answer = await soon(request);
    if (answer.ok && whole) await kept.put(key, stamped(answer.clone()));
    if (answer.status === 404) await kept.delete(key);
    // Sent off: what was read of the yard does not stay on the device.
    if (answer.status === 401) await caches.delete(READ);
    return answer;
  } catch (e) {
    const known = await kept.match(key);
    if (known) return known;
    throw e;
  }
}

/** As it is kept: with when it was read, which the page shows. */
function stamped(answer) {
  const headers = new Headers(answer.headers);
  headers.set('X-Kept-At', new Date().toISOString());
  return new Response(answer.body, { status: answer.status, headers });
}

// What was just written is what is read next, with a network or without.
async function write(request) {
  const answer = await fetch(request);
  const { pathname } = new URL(request.url);
  if (answer.ok && /^\/api\/jobs\/[0-9a-f-]{36}(\/log)?$/.test(pathname)) {
    const kept = await caches.open(READ);
    if (request.method === 'DELETE') await kept.delete(pathname);
    else await kept.put(pathname, stamped(answer.clone()));
  }
  return answer;
}

/** Fetches a file into a cache. @returns Whether it is there. */
async function fetched(cache, file) {
  try {
    const answer = await fetch(file);
    if (!answer.ok) return false;
    await cache.put(file, answer);
    return true;
  } catch {
    return false;
  }
}

// Whoever asks names everything; it is looked for, and fetched where it is not. @returns What is missing after that.
async function keep({ planner: files, read: paths }) {
  const missing = [];
  const shell = await caches.open(SHELL);
  for (const file of FILES)
    if (!(await shell.match(file)) && !(await fetched(shell, file))) missing.push(file);
  const planners = await caches.open(PLANNER);
  for (const file of files) {
    // The loader names the others, which never change.
    const there = !file.endsWith('/dotnet.js') && (await planners.match(file));
    if (!there && !(await fetched(planners, file))) missing.push(file);
  }
  // Only with all of the new one there is the old one not wanted any more.
  if (files.length > 0 && missing.length === 0)
    for (const old of await planners.keys())
      if (!files.includes(new URL(old.url).pathname)) await planners.delete(old);
  for (const path of paths) {
    const answer = await read(new Request(path)).catch(() => undefined);
    // What this device may not read, or is not there any more, it does not miss.
    if (!answer?.ok && ![403, 404].includes(answer?.status)) missing.push(path);
  }
  return missing;
}

async function planner(request) {
  const kept = await caches.open(PLANNER);
  const keeping = async () => {
    const answer = await soon(request);
    if (answer.ok) await kept.put(request, answer.clone());
    return answer;
  };
  const known = await kept.match(request);
  if (!request.url.endsWith('/dotnet.js')) return known ?? keeping();
  return keeping().catch((e) => {
    if (known) return known;
    throw e;
  });
}

self.addEventListener('fetch', (e) => {
  const { request } = e;
  const url = new URL(request.url);
  if (url.origin !== location.origin) return;
  if (request.mode === 'navigate') {
    if (!/^\/(api|openapi|live|join)(\/|$)/.test(url.pathname)) e.respondWith(page(request));
  } else if (request.method !== 'GET') {
    if (/^\/api\/jobs\/[0-9a-f-]{36}(\/log)?$/.test(url.pathname)) e.respondWith(write(request));
  } else if (url.pathname.startsWith('/planner/')) e.respondWith(planner(request));
  else if (KEPT.test(url.pathname)) e.respondWith(read(request));
  else if (!/^\/(api|openapi|live|join)(\/|$)/.test(url.pathname))
    e.respondWith(caches.match(request, { cacheName: SHELL }).then((hit) => hit ?? fetch(request)));
});
