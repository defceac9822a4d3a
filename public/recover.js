/*
 * Reads what is kept in this browser and saves it raw. It stands alone: no framework, no schema, no version. What it
 * writes is one JSON value a line: a head, the rows as they are stored, and an end that counts them.
 */
(() => {
  const NAMES = {
    designs: 'Enclosures',
    log: 'Lines of the log',
    animals: 'Animals',
    equipment: 'Equipment',
    series: 'Measuring points',
    blocks: 'Weeks of readings',
    pictures: 'Pictures',
    shelf: 'Lines of the shelf',
    settings: 'Settings, prices, own rows',
    steps: 'Steps of undo',
  };
  /** Characters of the file that are gathered before they are put away as a part of it. */
  const PART = 4e6;
  const state = document.getElementById('state');
  const table = document.getElementById('stores');
  const save = document.getElementById('save');
  const tell = (text) => {
    state.textContent = text;
  };
  const done = (request) =>
    new Promise((resolve, reject) => {
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error);
    });

  /** Without a version: whichever stands is opened. One that is not there is not made. */
  function open() {
    return new Promise((resolve, reject) => {
      const request = indexedDB.open('rincon');
      let fresh = false;
      request.onupgradeneeded = () => {
        fresh = true;
        request.transaction.abort();
      };
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => (fresh ? resolve(null) : reject(request.error));
      request.onblocked = () => reject(new Error('another window holds it; close all others'));
    });
  }

  const base64 = (bytes) => {
    let text = '';
    for (let i = 0; i < bytes.length; i += 0x8000)
      text += String.fromCharCode.apply(null, bytes.subarray(i, i + 0x8000));
    return btoa(text);
  };

  /** What JSON cannot hold is told by a name of its own. */
  async function plain(value) {
    if (value instanceof Blob)
      return { $blob: base64(new Uint8Array(await value.arrayBuffer())), type: value.type };
    if (value instanceof ArrayBuffer) return { $bytes: base64(new Uint8Array(value)) };
    if (ArrayBuffer.isView(value))
      return { $bytes: base64(new Uint8Array(value.buffer, value.byteOffset, value.byteLength)) };
    if (value instanceof Date) return { $date: value.getTime() };
    if (typeof value === 'number' && !Number.isFinite(value)) return { $number: String(value) };
    if (Array.isArray(value)) return Promise.all(value.map(plain));
    if (typeof value !== 'object' || value === null) return value;
    const fields = [];
    for (const [key, own] of Object.entries(value)) fields.push([key, await plain(own)]);
    return Object.fromEntries(fields);
  }

  async function saveAll(db) {
    const parts = [];
    let text = '';
    let rows = 0;
    let lost = 0;
    const put = (line) => {
      text += `${JSON.stringify(line)}\n`;
      if (text.length > PART) {
        parts.push(new Blob([text]));
        text = '';
      }
    };
    put({ format: 'rincon-raw', version: 1, schema: db.version, written: new Date().toISOString() });
    for (const store of db.objectStoreNames) {
      // By key: one row that cannot be read takes no other with it.
      const keys = await done(db.transaction(store).objectStore(store).getAllKeys());
      for (const key of keys) {
        try {
          const row = await done(db.transaction(store).objectStore(store).get(key));
          put({ table: store, row: await plain(row) });
          rows += 1;
        } catch {
          lost += 1;
        }
        if (rows % 200 === 0) tell(`Reading: ${rows} rows.`);
      }
    }
    put({ end: true, rows });
    parts.push(new Blob([text]));
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob(parts, { type: 'application/x-ndjson' }));
    // The day as the calendar has it here.
    const now = new Date();
    const day = [now.getFullYear(), now.getMonth() + 1, now.getDate()];
    link.download = `rincon-raw-${day.map((it) => String(it).padStart(2, '0')).join('-')}.ndjson`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    tell(
      lost > 0
        ? `Saved: ${rows} rows. The browser could not read ${lost} more.`
        : `Saved: ${rows} rows, all of them.`,
    );
  }

  async function look() {
    if (!('indexedDB' in self) || !self.indexedDB) {
      tell('This browser lets no page store anything: nothing is kept here.');
      return;
    }
    const db = await open();
    if (!db || db.objectStoreNames.length === 0) {
      tell('Nothing is kept in this browser at this address.');
      return;
    }
    const known = Object.keys(NAMES);
    const rank = (store) => (known.includes(store) ? known.indexOf(store) : known.length);
    for (const store of [...db.objectStoreNames].sort((a, b) => rank(a) - rank(b))) {
      const count = await done(db.transaction(store).objectStore(store).count());
      const line = table.tBodies[0].insertRow();
      const head = document.createElement('th');
      head.scope = 'row';
      head.textContent = NAMES[store] ?? store;
      line.append(head);
      const cell = line.insertCell();
      cell.className = 'number';
      cell.textContent = count.toLocaleString();
    }
    table.hidden = false;
    save.hidden = false;
    tell('All of this can be saved.');
    save.addEventListener('click', () => {
      save.disabled = true;
      saveAll(db)
        .catch((error) => tell(`It could not be saved: ${error.message}.`))
        .finally(() => {
          save.disabled = false;
        });
    });
  }
  look().catch((error) => tell(`The browser’s storage does not open: ${error?.message ?? error}.`));
})();
