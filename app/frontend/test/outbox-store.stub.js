// The browser's store: keeps in order, or refuses.
export const kept = { list: [], refuses: false, next: 1, slow: Promise.resolve() };

const may = () => {
  if (kept.refuses) throw new DOMException('full', 'QuotaExceededError');
};

export async function everything() {
  may();
  return kept.list.map((r) => ({ ...r }));
}

export async function keep(reading) {
  may();
  await kept.slow;
  const seq = kept.next++;
  kept.list.push({ ...reading, seq });
  return seq;
}

export async function change(reading) {
  may();
  kept.list = kept.list.map((r) => (r.seq === reading.seq ? { ...reading } : r));
}

export async function drop(seq) {
  may();
  kept.list = kept.list.filter((r) => r.seq !== seq);
}

export function lasting() {}

export async function unlock() {}
