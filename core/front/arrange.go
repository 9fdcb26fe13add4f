package front

import (
	"math/rand/v2"
	"slices"

	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/plan"
)

// arrange gives every patch of a grid its cloth, rows from the top. On point every
// other row is one block shorter.
func arrange(f plan.Face, path string) ([][]string, finding.List) {
	cloths := f.Cloths
	if len(cloths) == 0 {
		cloths = []string{f.Cloth}
	}
	switch {
	case f.Order.Kind == plan.Rows:
		return f.Order.Rows, nil
	case f.Order.Kind == plan.Scrap:
		return scrap(f, path, distinct(cloths))
	case f.Order.Kind == plan.OnGround:
		return scrap(f, path, drawn(f, distinct(cloths)))
	case f.Set == plan.OnPoint: // the blocks between the others are the next cloth
		return fill(f, func(r, _ int, _ [][]string) string { return cloths[r%len(cloths)] }), nil
	default:
		return fill(f, func(r, c int, _ [][]string) string { return cloths[(r+c)%len(cloths)] }), nil
	}
}

// drawn are the cloths that patches or blocks are mixed of: not those that another letter of the block stands for, or
// its own cloth would lie on itself in some of them.
func drawn(f plan.Face, cloths []string) []string {
	text, _ := f.Block.Cells.(string)
	if named, known := block.ByName(f.Block.Name); known {
		text = named.Text
	}
	n, err := block.Parse(text)
	if !f.Block.Set() || err != nil {
		return cloths
	}
	ground := map[string]bool{}
	for _, letter := range n.Letters() {
		if i := int(letter[0] - 'A'); i > 0 && len(f.Cloths) > 0 {
			ground[f.Cloths[i%len(f.Cloths)]] = true
		}
	}
	own := slices.DeleteFunc(slices.Clone(cloths), func(cloth string) bool { return ground[cloth] })
	if len(own) == 0 {
		return cloths
	}
	return own
}

// Laid are the cloths of the patches or blocks of a grid as they lie, rows from the top.
func Laid(f plan.Face) [][]string {
	rows, _ := arrange(f, "")
	return rows
}

func fill(f plan.Face, pick func(r, c int, done [][]string) string) [][]string {
	rows := make([][]string, len(f.Shape()))
	for r, columns := range f.Shape() {
		rows[r] = make([]string, columns)
		for c := range rows[r] {
			rows[r][c] = pick(r, c, rows)
		}
	}
	return rows
}

// scrap mixes the cloths by the seed, nothing like its neighbour to the left
// or above, each cloth about as often as any other or as the face says, light and dark in turn where it says so.
// Patches that are kept stay.
// Straight, two neighbours forbid at most two cloths, and with two cloths they forbid
// the same one; where patches are kept, or on point, a like neighbour can be left over,
// which is said.
func scrap(f plan.Face, path string, cloths []string) ([][]string, finding.List) {
	var found finding.List
	m := &mixer{face: f, cloths: cloths, used: map[string]int{},
		random: rand.New(rand.NewPCG(uint64(f.Seed), 0x756d7363686c6167))}
	rows := fill(f, m.pick)
	if len(cloths) == 1 && len(rows)*len(rows[0]) > 1 && f.Order.Kind == plan.Scrap {
		found.Add(finding.Note, "like-neighbours", path+"/cloths", "With one fabric every patch lies beside its like.",
			"Name a second fabric.")
	} else if m.alike {
		found.Add(finding.Note, "like-neighbours", path+"/cloths", "Some patches lie beside their like.",
			"Mix again, name another fabric, or release a patch that is kept.")
	}
	return rows, found
}

type mixer struct {
	face   plan.Face
	cloths []string
	used   map[string]int
	random *rand.Rand
	alike  bool
}

// share is how often a cloth is drawn against one of the middle.
func (m *mixer) share(cloth string) float64 {
	if m.face.Mix == nil || len(m.face.Mix.Often) == 0 {
		return 1
	}
	all := 0
	for _, c := range m.cloths {
		all += max(1, m.face.Mix.Often[c])
	}
	return float64(max(1, m.face.Mix.Often[cloth])*len(m.cloths)) / float64(all)
}

// suits are the cloths that no neighbour has: of those the light or the dark ones where they lie in turn, and there
// are any.
func (m *mixer) suits(r, c int, near map[string]bool) []string {
	var all, own []string
	turn := (r + c) % 2
	if m.face.Set == plan.OnPoint {
		turn = r % 2
	}
	for _, cloth := range m.cloths {
		if near[cloth] {
			continue
		}
		all = append(all, cloth)
		if m.face.Mix != nil && slices.Contains(m.face.Mix.Dark, cloth) == (turn == 1) {
			own = append(own, cloth)
		}
	}
	if m.face.Mix == nil || len(m.face.Mix.Dark) == 0 || len(own) == 0 {
		return all
	}
	return own
}

// pick takes the cloth that was used least for its share, with some chance in it, among those that
// suit.
func (m *mixer) pick(r, c int, done [][]string) string {
	near := m.neighbours(r, c, done)
	if kept, ok := m.face.Kept(r+1, c+1); ok {
		m.used[kept]++
		m.alike = m.alike || near[kept]
		return kept
	}
	best, score := "", 0.0
	for _, cloth := range m.suits(r, c, near) {
		if s := (float64(m.used[cloth]) + 1.5*m.random.Float64()) / m.share(cloth); best == "" || s < score {
			best, score = cloth, s
		}
	}
	if best == "" {
		m.alike = len(m.cloths) > 1
		best = m.cloths[m.random.IntN(len(m.cloths))]
	}
	m.used[best]++
	return best
}

// neighbours are the cloths a patch must not be like: of those laid before it, and of
// those that are kept beside and below it.
func (m *mixer) neighbours(r, c int, done [][]string) map[string]bool {
	near := map[string]bool{}
	laid := func(r, c int) {
		if r >= 0 && r < len(done) && c >= 0 && c < len(done[r]) && done[r][c] != "" {
			near[done[r][c]] = true
		}
	}
	kept := func(r, c int) {
		if cloth, ok := m.face.Kept(r+1, c+1); ok {
			near[cloth] = true
		}
	}
	if m.face.Set == plan.OnPoint {
		for _, d := range []int{-1 + r%2, r % 2} {
			laid(r-1, c+d)
			kept(r+1, c+d)
		}
		return near
	}
	laid(r, c-1)
	laid(r-1, c)
	kept(r, c+1)
	kept(r+1, c)
	return near
}

func distinct(list []string) []string {
	var out []string
	seen := map[string]bool{}
	for _, s := range list {
		if !seen[s] {
			seen[s] = true
			out = append(out, s)
		}
	}
	return out
}
