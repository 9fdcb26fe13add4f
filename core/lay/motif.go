package lay

// onMotifs lays pieces whose middle is in the middle of a motif: each takes whole
// repeats of the print across and along. Where the first motif lies is not known, so a
// whole repeat is kept for finding it, at the end of the cloth and at the left of every
// strip. Common practice.
func onMotifs(items needs, on Cloth) Lay {
	l := Lay{Width: on.Usable}
	if len(items) == 0 {
		return l
	}
	if on.Along > 0 {
		l.Strips = append(l.Strips, Strip{Height: on.Along})
		l.Length = on.Along
	}
	for _, it := range items {
		across, along := it.Width.Ceil(on.Across), it.Height.Ceil(on.Along)
		side, inStrip := on.Across, int((on.Usable-on.Across)/across)
		if inStrip < 1 {
			// Alone in its strip it lies wherever its motif is.
			side, inStrip = max(0, on.Usable-across)/2, 1
		}
		for left := it.Count; left > 0; left -= inStrip {
			strip := Strip{Y: l.Length, Height: along, Used: side}
			for n := range min(inStrip, left) {
				x := min(strip.Used+(across-it.Width)/2, on.Usable-it.Width)
				l.Placed = append(l.Placed,
					Placed{Cut: it.Cut, X: x, Y: l.Length + (along-it.Height)/2, Width: it.Width, Height: it.Height,
						Strip: len(l.Strips) + 1, Column: n + 1})
				strip.Used += across
			}
			strip.Used = min(strip.Used, on.Usable)
			l.Strips = append(l.Strips, strip)
			l.Length += along
		}
	}
	return l
}
