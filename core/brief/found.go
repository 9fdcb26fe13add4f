package brief

import (
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
)

var panelKinds = []Option{{Key: "cloth", Says: "of fabric"}, {Key: "counted", Says: "counted"},
	{Key: "worked", Says: "hooked or knitted"}, {Key: "printed", Says: "cut from a print"}}

// found tells of a panel that is there already: how it was made decides how it is cut.
func found(f *FaceTeller) {
	var panel plan.FoundPanel
	if f.face.Panel != nil {
		panel = *f.face.Panel
	}
	covered := f.plan.Object.Kind == plan.Found
	f.Say(", ")
	f.Choose(Choice{ID: f.id("panel/kind"), Label: f.label("How the panel was made"),
		Now:     or(string(panel.Kind), "cloth"),
		Options: panelKinds}, func(m *Moving, key string) {
		follows := covered && f.part == 0 && len(f.face.Borders) == 0
		shows := f.face.Patch
		if shows.Width == 0 && covered {
			shows = plan.Patch{Width: f.plan.Object.Width, Height: f.plan.Object.Height}
		}
		f.change(m, func(face *plan.Face) { face.Panel = begunPanel(key, f.plan, shows) })
		if key == "counted" && follows {
			m.Plan.Object.Width, m.Plan.Object.Height = 0, 0 // the cover follows the squares of the panel
		}
	})
	switch {
	case panel.Kind == plan.CountedPanel:
		countedPanel(f)
	case !covered || f.face.Patch.Width > 0:
		f.Say(", showing ")
		f.Length(f.at("patch/width"), f.label("Width of the panel as it shows"))
		f.Say(" by ")
		f.Length(f.at("patch/height"), f.label("Height of the panel as it shows"))
	}
	if panel.Kind == plan.PrintedPanel {
		printed(f, panel)
	}
	f.Say(", of ")
	f.cloth("cloth", f.label("Fabric of the panel"), f.face.Cloth,
		func(face *plan.Face, letter string) { face.Cloth = letter })
	f.Say(", ")
	f.choose("backed", f.label("Backing of the panel"), f.face.Backed, with(Option{Says: "firm enough by itself"},
		each(faced(f.Teller), func(o Option) string { return "backed with " + o.Says })),
		func(face *plan.Face, letter string) { face.Backed = letter })
	f.Say(".")
	f.whole("panel")
}

// begunPanel is a panel of a kind as it begins, showing a size where it has one; one of cloth needs no word.
func begunPanel(key string, p plan.Plan, shows plan.Patch) *plan.FoundPanel {
	panels := plan.StartsIn(p.Units).Panels
	i := slices.IndexFunc(panels, func(p plan.FoundPanel) bool { return string(p.Kind) == key })
	if i < 0 || panels[i].Kind == plan.ClothPanel {
		return nil
	}
	out := panels[i]
	switch out.Kind {
	case plan.CountedPanel:
		out.Across, out.Up = squares(out, shows.Width, out.Across), squares(out, shows.Height, out.Up)
	case plan.PrintedPanel: // more than shows, for seams and for what is trimmed
		out.Width = min(plan.Largest, max(out.Width, 5*shows.Width/4))
		out.Height = min(plan.Largest, max(out.Height, 5*shows.Height/4))
	}
	return &out
}

// squares of a counted design that shows so much, with its margin; as usual where that is not said.
func squares(p plan.FoundPanel, shows length.Length, usual int) int {
	if shows == 0 {
		return usual
	}
	return max(1, min(usual, int(shows.Float()/length.Inch.Float()*p.Count)-2*p.Margin))
}

// countedPanel tells of a counted design: its size follows from its squares.
func countedPanel(f *FaceTeller) {
	f.Say(", ")
	f.Count(f.at("panel/across"), f.label("Squares of the design across"))
	f.Say(" by ")
	f.Count(f.at("panel/up"), f.label("Squares of the design up"))
	f.Say(" squares, ")
	f.Count(f.at("panel/count"), f.label("Squares to the inch"))
	f.Say(" to the inch, with ")
	f.Count(f.at("panel/margin"), f.label("Squares that show round the design"))
	f.Say(" more showing all round")
}

// printed tells of a print as it is bought, and what of it has to be in the middle.
func printed(f *FaceTeller, panel plan.FoundPanel) {
	given := panel.Left != nil || panel.Top != nil
	f.Say(", from a print of ")
	f.Length(f.at("panel/width"), f.label("Width of the print"))
	f.Say(" by ")
	f.Length(f.at("panel/height"), f.label("Height of the print"))
	f.Say(", ")
	f.Either(f.id("panel/left#is"), f.label("What stays in the middle"), given, "its own middle kept in the middle",
		"a motif kept in the middle that lies", func(m *Moving, yes bool) {
			left, top := panel.Width/2, panel.Height/2
			if p := m.told(f.place.Config); p != nil && p.Panel != nil && len(p.Panel.Middle) == 2 {
				left, top = length.Length(p.Panel.Middle[0].NM), length.Length(p.Panel.Middle[1].NM)
			}
			f.change(m, func(face *plan.Face) {
				next := *face.Panel
				if next.Left, next.Top = nil, nil; yes {
					next.Left, next.Top = &left, &top
				}
				face.Panel = &next
			})
		})
	if given {
		f.Say(" ")
		f.Length(f.at("panel/left"), f.label("Distance of the motif’s middle from the left edge"))
		f.Say(" from its left and ")
		f.Length(f.at("panel/top"), f.label("Distance of the motif’s middle from the top edge"))
		f.Say(" from its top edge")
	}
}
