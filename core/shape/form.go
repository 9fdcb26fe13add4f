package shape

// Form is an outline that ships with the app. All of them are drawn for it.
type Form struct {
	Name, Title string
	// Data is its SVG path, in units that only its proportions come from.
	Data string
}

// Forms are the cut-out forms, those of general use first.
var Forms = []Form{
	{"circle", "Circle", "M50 0A50 50 0 1 1 50 100A50 50 0 1 1 50 0Z"},
	{"ring", "Ring", "M50 0A50 50 0 1 1 50 100A50 50 0 1 1 50 0ZM50 24A26 26 0 1 0 50 76A26 26 0 1 0 50 24Z"},
	{"oval", "Oval", "M50 0A50 32 0 1 1 50 64A50 32 0 1 1 50 0Z"},
	{"half-round", "Half round", "M0 50A50 50 0 0 1 100 50Z"},
	{"square", "Square", "M0 0H100V100H0Z"},
	{"bar", "Bar", "M0 0H100V20H0Z"},
	{"panel", "Panel with round corners",
		"M8 0H92A8 8 0 0 1 100 8V52A8 8 0 0 1 92 60H8A8 8 0 0 1 0 52V8A8 8 0 0 1 8 0Z"},
	{"triangle", "Triangle", "M50 0L100 86.603H0Z"},
	{"star", "Star", "M50 0L62 36.8L100 36.8L69.4 59.6L81 96L50 73.6L19 96L30.6 59.6L0 36.8L38 36.8Z"},
	{"heart", "Heart", "M50 90C22 68 0 50 0 26C0 10 12 0 26 0C37 0 46 6 50 17C54 6 63 0 74 0C88 0 100 10 100 26C100 50 78 68 50 90Z"},
	{"leaf", "Leaf", "M0 30C20 4 62 -8 100 30C62 68 20 56 0 30Z"},
	{"drop", "Drop", "M40 0C52 28 80 46 80 74A40 40 0 0 1 0 74C0 46 28 28 40 0Z"},
	{"cloud", "Cloud", "M20 60A20 20 0 0 1 18 20.2A26 26 0 0 1 66 12A24 24 0 0 1 100 34A18 18 0 0 1 96 60Z"},
	{"blossom", "Blossom", "M50.00 20.00A20 20 0 1 1 78.53 40.73A20 20 0 1 1 67.63 74.27A20 20 0 1 1 32.37 74.27A20 20 0 1 1 21.47 40.73A20 20 0 1 1 50.00 20.00Z"},
	{"house", "House", "M50 0L100 40H90V92H10V40H0Z"},
	{"book", "Open book", "M50 10C36 0 14 0 0 6V66C14 60 36 60 50 70C64 60 86 60 100 66V6C86 0 64 0 50 10Z"},
	{"van", "Van body", "M0 12A8 8 0 0 1 8 4H84C92 4 98 10 102 20L112 42C126 44 132 48 134 56V78H0Z"},
	{"window", "Van window", "M0 0H20C25 0 28 2 30 6L40 26H0Z"},
	{"sun", "Sun", "M50.0 0.0L59.6 14.3L75.0 6.7L76.2 23.8L93.3 25.0L85.7 40.4L100.0 50.0L85.7 59.6L93.3 75.0L76.2 76.2L75.0 93.3L59.6 85.7L50.0 100.0L40.4 85.7L25.0 93.3L23.8 76.2L6.7 75.0L14.3 59.6L0.0 50.0L14.3 40.4L6.7 25.0L23.8 23.8L25.0 6.7L40.4 14.3Z"},
	{"hill", "Hill", "M0 60C20 24 40 0 60 0C84 0 104 34 140 44V60Z"},
}

// FormNamed is the path of a form; ok is false where there is none of the name.
func FormNamed(name string) (Path, bool) {
	for _, f := range Forms {
		if f.Name == name {
			p, err := Parse(f.Data)
			return p, err == nil
		}
	}
	return nil, false
}
