package work

import (
	"fmt"

	"umschlag/core/length"
)

// Trouble is something that goes wrong, and what is done about it. The remedies are common
// practice.
type Trouble struct {
	// Kind is its name in a plan, Title what the maker sees, Remedy what helps.
	Kind   string `json:"kind"`
	Title  string `json:"title"`
	Remedy string `json:"remedy"`
	// Stages it can be met at.
	Stages []Stage `json:"stages"`
}

// Troubles are those that are met most, in the order of the work, their sizes in a unit.
func Troubles(unit length.Unit) []Trouble {
	about := func(inches, metric length.Length) string { return about(unit, inches, metric) }
	one, two := about(length.Inch, 25*length.Millimetre), about(2*length.Inch, 5*length.Centimetre)
	return []Trouble{
		{"cut-wrong", "Cut to the wrong size",
			"Keep it for a smaller piece, mark it spoiled on Cut, and cut another from what is left before anything else is cut of that fabric.", []Stage{Cutting, Backing}},
		{"cloth-short", "The fabric is too short",
			"Look for a shorter cutting layout on Cut, join a strip where it shows least, or cut what nobody sees from another fabric.", []Stage{Cutting, Backing}},
		{"turned", "A piece is the wrong way round",
			"Unpick that seam only, turn the piece and sew it again with a shorter stitch; press the old holes with steam.", []Stage{Piecing}},
		{"points", "Corners do not meet",
			fmt.Sprintf("Up to %s can be eased in, the longer edge underneath. For more, unpick to %s past the corner and pin again.", about(length.Inch/16, 3*length.Millimetre/2), one), []Stage{Piecing}},
		{"short", "It came out short",
			"Sew three strips and measure the middle one: it tells the true seam. Do not unpick yet. Type the measurement at the next measuring step: what is not cut yet is resized to match.", []Stage{Piecing, Quilting, Closing}},
		{"long", "It came out long",
			"Do not trim it now: type what you measured at the next measuring step. A panel is trimmed only when all of it is sewn.", []Stage{Piecing, Quilting, Closing}},
		{"wavy", "A border is wavy",
			"The border was cut too long. Unpick it, measure across the middle of the panel, cut the border to that, pin ends and middle, and ease.", []Stage{Piecing}},
		{"pleat", "A pleat is caught on the lining side",
			fmt.Sprintf("Unpick %s of the lines on both sides of it, smooth it out to the nearest edge, pin, and sew again from the middle.", two), []Stage{Quilting}},
		{"tension", "The stitches lie loose on one side",
			"Thread the machine again, above and below, change the needle, and try on an offcut of the same layers. If it goes on, the machine’s manual has the last word.", []Stage{Piecing, Quilting, Backing, Closing}},
		{"drawn-in", "Quilting pulled it in more than planned",
			"Trim it square at the size it came out, type that size at the measuring step, and sew a sample of these layers before the next one.",
			[]Stage{Quilting}},
		{"caught-missed", "The seam missed a layer",
			fmt.Sprintf("Before anything is clipped, and without unpicking: sew again a thread or two inside the first line, %s past the spot each way.", one), []Stage{Closing, Backing}},
		{"gape", "The back gapes",
			"A strip of hook-and-loop tape or a snap in the middle of the overlap holds it; give the next one a larger overlap.", []Stage{Closing}},
		{"clipped", "The stitching was clipped into",
			"Seal the snip with seam sealant. Stitch again two threads further in, and iron a scrap of interfacing over the spot.",
			[]Stage{Closing}},
		{"tight", "The insert does not go in, or strains",
			"Take some filling out of the insert if you can. With feathers or foam, sew the seam again at half its width and take the old stitching out, or use a smaller insert.", []Stage{Closing}},
		{"loose", "The insert is too small for its cover",
			fmt.Sprintf("Push loose filling into the corners. For more than %s sew all round again further in, or take a larger insert.",
				one), []Stage{Closing}},
		{"flap-caught", "A flap of the back catches on the foot",
			"Stop with the needle down, lift the foot, free the flap and go on; a strip of paper laid over its edge keeps it down.",
			[]Stage{Closing}},
		{"needle-broke", "The needle broke",
			"Stop, find all its parts, and change it for one that suits the thickness. Look at the place from both sides before you go on.", []Stage{Piecing, Quilting, Backing, Closing}},
		{"again", "It had to be done again",
			"Unpick from the side nobody sees, brush the threads out, and press before it is sewn again; a closed hole stays closed with a shorter stitch.", []Stage{Cutting, Piecing, Quilting, Backing, Closing}},
		{"other", "Something else", "Note what it was, so that it is there when you plan the next one.",
			[]Stage{Measuring, Cutting, Piecing, Quilting, Backing, Closing}},
	}
}
