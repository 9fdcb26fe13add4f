package plan

// How many patches something else is as much work as. Found by timing.
const (
	blockHeft   = 8
	lineHeft    = 10
	fittingHeft = 80
	shapeHeft   = 100
	leastHeft   = 400 // a plan with nothing on it
)

// Heft is about how much work a plan makes to reckon, in patches. It is no promise: it tells how often a change of it
// may be tried, so that a large plan is answered as a small one is.
func Heft(p Plan) int {
	heft := leastHeft + fittingHeft*len(p.Fittings) + lineHeft*len(p.Cloths)
	for name, q := range p.Pieces {
		if q.Face == nil {
			continue
		}
		n := 1
		if name == Common {
			n = len(PieceNames(p.Cover.Kind))
		}
		heft += n * heftOf(*q.Face)
	}
	return heft
}

func heftOf(f Face) int {
	// Strips are cut each by itself, so that each is tried beside all others.
	heft := lineHeft*(len(f.Strips)+len(f.Borders)) + len(f.Strips)*len(f.Strips)/4 + shapeHeft*len(f.Applique)
	switch patches := max(0, f.Columns) * max(0, f.Rows); {
	case f.Set == OnPoint:
		heft += 2 * patches
	case f.Kind == WindowsFace:
		heft += lineHeft * patches
	default:
		heft += patches
	}
	if f.Block.Set() {
		heft += (blockHeft - 1) * max(0, f.Columns) * max(0, f.Rows)
	}
	for _, part := range f.Parts {
		heft += heftOf(part.Face)
	}
	for _, way := range f.Colourways {
		heft += heftOf(way.Face)
	}
	return heft
}
