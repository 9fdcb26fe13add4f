/** The ways a place is told across and up. */
export const ways = {
  across: [
    { value: "middle", name: "in the middle across" },
    { value: "left", name: "from the left" },
    { value: "right", name: "from the right" },
  ],
  up: [
    { value: "middle", name: "in the middle up" },
    { value: "top", name: "from the top" },
    { value: "bottom", name: "from the bottom" },
  ],
};
