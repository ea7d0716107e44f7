// Keeps the program on the device: its files, the planner it takes along, and what was last read of the yard.
const FILES = __FILES__;
const SHELL = 'setfirm-shell-__VERSION__';
const PLANNER = 'setfirm-planner';
const READ = 'setfirm-read';
/** How long the program is waited for before what was last read stands in. */
const PATIENCE_MS = 8000;

// What stands in while there is no answer: lists and jobs, not the clock, nor who is here.
const KEPT =
  /^\/api\/(jobs|jobs\/removed|jobs\/[0-9a-f-]{36}|jobs\/[0-9a-f-]{36}\/log|bags|lumber|bars|kinds|coats|lessons|things|learnt|forecast|weather-files|session|preferences)$/;

self.addEventListener('install', (e) => {
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

// A newer one waits until the page says so: nobody's pour is interrupted.
self.addEventListener('message', (e) => {
  if (e.data === 'takeOver') self.skipWaiting();
});

const soon = (request) => fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });

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

async function planner(request) {
  const kept = await caches.open(PLANNER);
  // The loader names the others, and those never change.
  if (request.url.endsWith('/dotnet.js')) {
    try {
      const answer = await soon(request);
      if (answer.ok) await kept.put(request, answer.clone());
      return answer;
    } catch (e) {
      const known = await kept.match(request);
      if (known) return known;
      throw e;
    }
  }
  const known = await kept.match(request);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) {
    // An older one of the same part is not wanted any more.
    const part = (url) => new URL(url).pathname.replace(/\.[0-9a-z]{10}(?=\.[a-z]+$)/, '');
    for (const old of await kept.keys()) if (part(old.url) === part(request.url)) await kept.delete(old);
    await kept.put(request, answer.clone());
  }
  return answer;
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
