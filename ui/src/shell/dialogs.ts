/** What is asked and told in dialogs of the frame: read when the first of them is opened. */
export { Conflict } from "./Conflict";
export { History } from "./History";
export { Shortcuts } from "./Shortcuts";
export { Spoils } from "./Spoils";
