package lay

import (
	"umschlag/core/length"
)

// Limit is what keeps a lay from being shorter.
type Limit string

const (
	// ByArea is what all pieces cover together.
	ByArea Limit = "area"
	// ByTallest is the piece that is tallest however it lies.
	ByTallest Limit = "tallest"
	// ByWidth is what pieces take that are too wide to lie side by side.
	ByWidth Limit = "width"
	// ByHeights is that no heights of pieces add up to less than that and no less than
	// the other bounds.
	ByHeights Limit = "heights"
	// ByMotifs is how far its motifs are from one another.
	ByMotifs Limit = "motifs"
)

// finestStep is how fine the widths are told apart when a lay is bounded.
const finestStep = 60

// bound is a length no lay is shorter than, in strips or free: the area over the
// width; the piece that is tallest however it lies; and what pieces take that are
// too wide to lie beside one another. For the last a width w of the cloth counts as
// u(w) = ⌊(k+1)w⌋ / k, or as w where (k+1)w is whole: whatever lies side by side
// adds up to 1 at most, for every k. Source: the dual feasible functions of Lueker
// (1983) as Fekete and Schepers (2001) use them; from memory.
func bound(items needs, on Cloth) (best length.Length, by Limit) {
	usable := on.Usable
	if usable <= 0 {
		return 0, ByArea
	}
	raise := func(l length.Length, limit Limit) {
		if l > best {
			best, by = l, limit
		}
	}
	for k := 0; k <= finestStep; k++ {
		var whole float64
		for _, it := range items {
			if it.Count == 0 {
				continue
			}
			low, takes := least(it, usable, k)
			raise(low, ByTallest)
			whole += float64(it.Count) * takes
		}
		if k == 0 {
			raise(length.Length(whole), ByArea)
		} else {
			raise(length.Length(whole), ByWidth)
		}
	}
	raise(items.heights(best, usable), ByHeights)
	for _, it := range items {
		if it.Centred && it.Count > 0 {
			raise(it.motifs(on), ByMotifs)
		}
	}
	return best, by
}

// heights is the least length of at least low that heights of pieces add up to. Any lay
// can be pushed together towards the squared end; its length is then that of pieces that
// lie one on the other all the way. Source: the normal patterns of Herz (1972) and of
// Christofides and Whitlock (1977); from memory.
func (n needs) heights(low, usable length.Length) length.Length {
	var tall, step length.Length
	for _, it := range n {
		tall = max(tall, it.Width, it.Height)
		step = common(common(step, it.Width), it.Height)
	}
	if tall == 0 || (low+tall)/step > mostPlaces {
		return low // nothing there, or too fine to be told apart
	}
	reached := make([]bool, int((low+tall)/step)+1)
	reached[0] = true
	for _, it := range n {
		if it.Width <= usable {
			add(reached, int(it.Height/step), it.Count)
		}
		if it.MayTurn && it.Height <= usable {
			add(reached, int(it.Width/step), it.Count)
		}
	}
	for at := int((low + step - 1) / step); at < len(reached); at++ {
		if reached[at] {
			return step.Times(at)
		}
	}
	return low
}

// common is the largest length that divides both.
func common(a, b length.Length) length.Length {
	for b != 0 {
		a, b = b, a%b
	}
	return a
}

// add reaches what can be reached with up to so many more of a height.
func add(reached []bool, height, count int) {
	used := make([]int, len(reached))
	for at := height; at < len(reached); at++ {
		if !reached[at] && reached[at-height] && used[at-height] < count {
			reached[at], used[at] = true, used[at-height]+1
		}
	}
}

// motifs is a length in which no more of an item that is centred on motifs lie, wherever they begin. Two of
// them are a whole number of repeats apart across or along, at least w and h, so that rectangles of w × h round
// their middles lie apart. Of lines across the cloth h apart each meets so many of them as lie side by side, and
// every one is met by one line: n of them want so many lines. Geometry.
func (it Item) motifs(on Cloth) length.Length {
	if on.Across == 0 || on.Along == 0 || it.Width > on.Usable || it.Opposite {
		return it.Height
	}
	w, h := it.Width.Ceil(on.Across), it.Height.Ceil(on.Along)
	side := int((on.Usable-it.Width)/w) + 1
	if lines := (it.Count + side - 1) / side; lines > 1 {
		return it.Height + h.Times(lines-2) + on.Along
	}
	return it.Height
}

// least is the least height of an item and the least length it takes, of the ways
// it may lie.
func least(it Item, usable length.Length, k int) (low length.Length, takes float64) {
	known := false
	stand := func(w, h length.Length) {
		if w > usable {
			return
		}
		t := part(w, usable, k) * h.Float()
		if !known {
			low, takes, known = h, t, true
			return
		}
		low, takes = min(low, h), min(takes, t)
	}
	stand(it.Width, it.Height)
	if it.MayTurn {
		stand(it.Height, it.Width)
	}
	return low, takes
}

// part is u(w), the width itself for k = 0.
func part(w, usable length.Length, k int) float64 {
	if whole := w.Times(k + 1); k > 0 && whole%usable != 0 {
		return float64(whole/usable) / float64(k)
	}
	return w.Float() / usable.Float()
}
