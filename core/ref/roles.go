package ref

// Role is what a thing does: one of those listed here and nowhere else.
type Role string

// The roles of cuts: what is made of a piece of cloth.
const (
	Panel      Role = "panel"
	Patch      Role = "patch"
	BlockPatch Role = "block-patch"
	// BlockEights are the squares that eight triangles of a block come from at once.
	BlockEights   Role = "block-eights"
	SettingSide   Role = "setting-side"
	SettingCorner Role = "setting-corner"
	ShortSash     Role = "short-sash"
	LongSash      Role = "long-sash"
	Post          Role = "post"
	Strip         Role = "strip"
	SetStrip      Role = "set-strip"
	// BorderFirst are the strips of a border that are sewn on first, BorderSecond those that
	// go on over them; BorderCorner squares go on with the second.
	BorderFirst  Role = "border-first"
	BorderSecond Role = "border-second"
	BorderCorner Role = "border-corner"
	Gathered     Role = "gathered"
	Pocket       Role = "pocket"
	Backing      Role = "backing"
	Ground       Role = "ground"
	Window       Role = "window"
	HalfWindow   Role = "half-window"
	// Shape is laid on, WebOfShape the web it is fused with.
	Shape      Role = "shape"
	WebOfShape Role = "web-of-shape"
	// Batting, Lining, Stiffener, Web and Grid lie under a piece.
	Batting   Role = "batting"
	Lining    Role = "lining"
	Stiffener Role = "stiffener"
	Web       Role = "web"
	Grid      Role = "grid"
	// ClosurePanel is a piece of a back in one, ClosureLeft and ClosureRight one of two;
	// ClosureLining is the half of a full lining, ClosureTie and ClosureTab are sewn to it.
	ClosurePanel  Role = "closure-panel"
	ClosureLeft   Role = "closure-left"
	ClosureRight  Role = "closure-right"
	ClosureLining Role = "closure-lining"
	ClosureTie    Role = "closure-tie"
	ClosureTab    Role = "closure-tab"
	// Piping and Binding are the cloth of their strips.
	Piping  Role = "piping"
	Binding Role = "binding"
	// FormPanel and FormTab are of a pad that is made at home.
	FormPanel Role = "form"
	FormTab   Role = "form-tab"
	// FittingPart is one of the pieces of a fitting.
	FittingPart Role = "fitting-part"
)

// The roles of steps: what is done.
const (
	DoMeasure   Role = "measure"
	DoSample    Role = "sample"
	DoCutOuter  Role = "cut-outer"
	DoCutUnder  Role = "cut-under"
	DoCutBack   Role = "cut-back"
	DoCutShapes Role = "cut-shapes"
	// DoCutBorders cuts borders that are sewn on when what lies inside them is quilted.
	DoCutBorders Role = "cut-borders"
	// DoLayOut lays a grid out, DoUnit sews the units of its blocks, DoSet strips that are
	// cut across, DoRow one row and DoRows the rows to each other.
	DoLayOut Role = "lay-out"
	DoUnit   Role = "unit"
	DoSet    Role = "set"
	DoRow    Role = "row"
	DoRows   Role = "rows"
	// DoBorder sews strips of a border on, DoBorderPatches makes them from patches, and
	// DoMitre sews their corners.
	DoBorder        Role = "border"
	DoBorderPatches Role = "border-patches"
	DoMitre         Role = "mitre"
	DoJoinParts     Role = "join-parts"
	DoGather        Role = "gather"
	// DoFoldUnits, DoJoinUnits, DoWindows and DoPoints make folded windows.
	DoFoldUnits Role = "fold-units"
	DoJoinUnits Role = "join-units"
	DoWindows   Role = "windows"
	DoPoints    Role = "points"
	// DoRimPoints sews the buttons on that lie in the closing seam.
	DoRimPoints Role = "rim-points"
	// DoPanel cuts a panel that is there already, DoBacking backs it, DoPocket lays one on.
	DoPanel   Role = "trim-panel"
	DoBacking Role = "back-panel"
	DoPocket  Role = "lay-pocket"
	// DoEndToEnd joins a long strip from shorter ones.
	DoEndToEnd  Role = "end-to-end"
	DoLayShapes Role = "lay-shapes"
	DoSewShapes Role = "sew-shapes"
	DoLayers    Role = "layers"
	DoQuilt     Role = "quilt"
	// DoQuiltBorders quilts borders by themselves when they are sewn on, DoMeasureCentre measures what lies inside
	// them before.
	DoQuiltBorders  Role = "quilt-borders"
	DoMeasureCentre Role = "measure-centre"
	DoTrim          Role = "trim"
	DoOpenEdge      Role = "open-edge"
	DoCorners       Role = "shape-corners"
	// DoMakeFitting makes a fitting up, DoFitting sews it on.
	DoMakeFitting Role = "make-fitting"
	DoFitting     Role = "fit"
	// DoMeasureFront and DoMeasureCover are gates.
	DoMeasureFront Role = "measure-front"
	DoMeasureCover Role = "measure-cover"
	// DoHem to DoZip are the things that make a back close.
	DoHem         Role = "hem"
	DoFold        Role = "fold"
	DoLine        Role = "line"
	DoTape        Role = "sew-tape"
	DoButtons     Role = "buttons"
	DoTies        Role = "ties"
	DoFlap        Role = "flap"
	DoTab         Role = "tab"
	DoZip         Role = "zip"
	DoMakePiping  Role = "make-piping"
	DoBastePiping Role = "baste-piping"
	DoMakeBinding Role = "make-binding"
	DoForm        Role = "make-pad"
	DoBackCloth   Role = "back-cloth"
	DoJoin        Role = "join"
	DoClose       Role = "close"
	DoFinish      Role = "finish-seam"
	DoClip        Role = "clip"
	DoTurn        Role = "turn"
	DoFlange      Role = "flange"
	DoBottom      Role = "bottom"
	DoTry         Role = "try"
	DoInspect     Role = "inspect"
)

// The roles of gates: what is measured. A row and a join are measured under the role of the
// step that sews them.
const (
	// Quilted and Sewn are a front before its back is cut, Pieced what is inside its borders, Centre that when it is
	// quilted before they are sewn on, Untrimmed a quilted panel before it is trimmed.
	Quilted   Role = "quilted"
	Sewn      Role = "sewn"
	Pieced    Role = "pieced"
	Centre    Role = "centre"
	Untrimmed Role = "untrimmed"
	// Overlap is how far the pieces of a back overlap as they are laid, Finished the closed
	// cover, and Filled the fibre in a pad, by its weight.
	Overlap  Role = "overlap"
	Finished Role = "finished"
	Filled   Role = "filled"
)

// OfCover reports the roles of steps that are about the whole cover, whatever piece lies on
// the table.
func (r Role) OfCover() bool {
	switch r {
	case DoMeasure, DoMeasureCover, DoMakePiping, DoBastePiping, DoMakeBinding, DoForm, DoBackCloth, DoJoin, DoClose,
		DoFinish, DoClip, DoTurn, DoFlange, DoBottom, DoTry, DoInspect, DoFitting, DoMakeFitting:
		return true
	}
	return false
}

// Closes reports the roles of what a back is made of.
func (r Role) Closes() bool {
	switch r {
	case ClosurePanel, ClosureLeft, ClosureRight, ClosureLining, ClosureTie, ClosureTab:
		return true
	}
	return false
}

// Bordering reports the roles of steps that are about a border.
func (r Role) Bordering() bool { return r == DoBorder || r == DoBorderPatches || r == DoMitre }
