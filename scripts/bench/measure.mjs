/** The median of so many runs of a measured act, in milliseconds. */
export async function median(runs, act) {
  const times = [];
  for (let run = 0; run < runs; run += 1) times.push(await act(run));
  return times.sort((one, other) => one - other)[Math.floor(runs / 2)];
}

/** How long an act takes, in milliseconds. */
export async function timed(act) {
  const begun = performance.now();
  await act();
  return performance.now() - begun;
}
