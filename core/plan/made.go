package plan

import (
	"fmt"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
)

// Made is so many units of a block, sewn.
type Made struct {
	// Cells is the unit as a block is written, by letters of its own from A: A / B. Only units of single patches are
	// told so.
	Cells string `json:"cells" jsonschema:"required"`
	// Cloths are the letters of the fabrics of the plan that the letters stand for, in the order of these.
	Cloths []string `json:"cloths" jsonschema:"required"`
	// Width and Height as sewn, raw edge to raw edge.
	Width  length.Length `json:"width" jsonschema:"required"`
	Height length.Length `json:"height" jsonschema:"required"`
	// Count is how many there are, from 1 to 2000, and Cupboard how many of them came out of the cupboard: they go back
	// there where the plan has them no more.
	Count    int `json:"count" jsonschema:"required"`
	Cupboard int `json:"cupboard,omitempty"`
}

// Begun is a plan as one that is begun: what another one has of the cupboard, and put there, it has not.
func Begun(p Plan) Plan {
	var made []Made
	for _, m := range p.Made {
		if m.Count -= m.Cupboard; m.Count > 0 {
			m.Cupboard = 0
			made = append(made, m)
		}
	}
	p.Made, p.Progress.Over = made, nil
	return p
}

// MadeUnits are units of a block in the cupboard, sewn.
type MadeUnits struct {
	// Cells is the unit as a block is written, by letters of its own from A: A / B.
	Cells string `json:"cells" jsonschema:"required"`
	// Fabrics are the names that the letters stand for, in the order of these.
	Fabrics []string `json:"fabrics" jsonschema:"required"`
	// Width and Height as sewn, raw edge to raw edge, and the Seam they are sewn with.
	Width  length.Length `json:"width" jsonschema:"required"`
	Height length.Length `json:"height" jsonschema:"required"`
	Seam   length.Length `json:"seam" jsonschema:"required"`
	// Count is how many there are, from 1 to 2000.
	Count int `json:"count" jsonschema:"required"`
}

// MostMade is more units of one kind than anyone sews for a cover, and mostKinds more kinds.
const (
	MostMade  = 2000
	mostKinds = 60
)

// judgeMade checks units that are sewn already.
func judgeMade(v *Judge, list string, made []Made) {
	if !v.few("/"+list, "kinds of units", len(made), mostKinds) {
		return
	}
	for i, m := range made {
		at := fmt.Sprintf("/%s/%d", list, i)
		v.Between(at+"/width", "The width of a unit", m.Width, length.Millimetre, longestCut)
		v.Between(at+"/height", "The height of a unit", m.Height, length.Millimetre, longestCut)
		v.Count(at+"/count", "How many units there are", m.Count, 1, MostMade)
		v.Count(at+"/cupboard", "How many units came out of the cupboard", m.Cupboard, 0, max(m.Count, 0))
	}
}

// Validate says what cannot be right about units in the cupboard, in the words of a style.
func (u MadeUnits) Validate(style length.Style) finding.List {
	v := &Judge{style: style}
	for _, name := range u.Fabrics {
		if strings.TrimSpace(name) == "" {
			v.Stop("/fabrics", "A fabric of the units has no name.", "Type what you call it, such as ink leaf.")
			break
		}
	}
	v.Between("/width", "The width of a unit", u.Width, length.Millimetre, longestCut)
	v.Between("/height", "The height of a unit", u.Height, length.Millimetre, longestCut)
	v.Between("/seam", "The seam of a unit", u.Seam, length.Millimetre, 2*length.Inch)
	v.Count("/count", "How many units there are", u.Count, 1, MostMade)
	return v.found
}
