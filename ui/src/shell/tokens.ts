/** Colours of the app, by day and by lamp. One ink, one thread. */
export const schemes = {
  light: {
    paper: "#f4efe4",
    card: "#fffdf7",
    ink: "#1e2742",
    soft: "#5d6270",
    thread: "#2b5d8a",
    onThread: "#ffffff",
    warn: "#7d560b",
    warnGround: "#f7ead0",
    stop: "#a6331f",
    stopGround: "#f7e0d8",
    good: "#476338",
    line: "#d9d0bd",
    shade: "#eae2d0",
    tape: "#e4dabd",
    tapeBorder: "#d3c298",
  },
  dark: {
    paper: "#191c26",
    card: "#222633",
    ink: "#ece5d6",
    soft: "#aeb0b8",
    thread: "#93bbe4",
    onThread: "#12202f",
    warn: "#e6c079",
    warnGround: "#3a3122",
    stop: "#f0a08f",
    stopGround: "#41272a",
    good: "#a9c993",
    line: "#3d4252",
    shade: "#2c3140",
    tape: "#4b4638",
    tapeBorder: "#5d5643",
  },
} as const;

export type Scheme = keyof typeof schemes;
