/** A press that goes on longer, or that moves by more than so many pixels, is a drag, which is followed. */
const longest = 2000;
const still = 8;

let going: Promise<void> | undefined;

function pressed(begin: PointerEvent) {
  let over = () => {};
  const mine = new Promise<void>((resolve) => {
    over = resolve;
  });
  going = mine;
  const end = () => {
    clearTimeout(limit);
    for (const kind of ends) removeEventListener(kind, end, true);
    removeEventListener("pointermove", move, true);
    if (going === mine) going = undefined;
    setTimeout(over); // after the click that follows
  };
  const move = (at: PointerEvent) => {
    if (Math.hypot(at.clientX - begin.clientX, at.clientY - begin.clientY) > still) end();
  };
  const limit = setTimeout(end, longest);
  for (const kind of ends) addEventListener(kind, end, true);
  addEventListener("pointermove", move, true);
}

const ends = ["pointerup", "pointercancel"];

addEventListener("pointerdown", pressed, true);

/**
 * Waits while a finger or a button is down: what an answer changes on the page must not move what is being pressed
 * away from under it, or the press is lost.
 */
export async function unpressed() {
  while (going) await going;
}

/** Does at once what changes the page, or when the press that is going on is over. */
export function whenFree(act: () => void) {
  if (going) void unpressed().then(act);
  else act();
}
