package web

import (
	"encoding/json"

	"umschlag/core/answer"
	"umschlag/core/brief"
	"umschlag/core/compare"

	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/spoil"
	"umschlag/format/planfile"
)

// PlanView is a stored plan with its reckoning.
type PlanView struct {
	ID       string `json:"id"`
	Revision int    `json:"revision"`
	// Plan is the plan file as it was saved.
	Plan      json.RawMessage  `json:"plan"`
	Reckoning answer.Reckoning `json:"reckoning"`
	// Brief is the plan told in sentences, with all that can be decided.
	Brief brief.Brief `json:"brief"`
	// Last is what the plan was when it could be cut the last time; absent where it can be, or
	// never could.
	Last    *LastCut `json:"last,omitempty"`
	CanUndo bool     `json:"can_undo"`
	CanRedo bool     `json:"can_redo"`
	Changed string   `json:"changed"`
}

// LastCut is a plan at the revision at which it could be cut the last time.
type LastCut struct {
	Revision  int              `json:"revision"`
	Reckoning answer.Reckoning `json:"reckoning"`
}

// ShelfItem is a plan as it stands on the shelf.
type ShelfItem struct {
	ID      string `json:"id"`
	Title   string `json:"title"`
	Changed string `json:"changed"`
	// Stage names where the work stands.
	Stage string `json:"stage"`
	// Next is the next step; empty when all is done.
	Next string `json:"next"`
	// Done of Steps are ticked off.
	Done  int `json:"done"`
	Steps int `json:"steps"`
	// Size as finished, and the pieces to draw; empty for a plan that cannot be cut.
	Size     string                 `json:"size"`
	Pieces   []answer.Piece         `json:"pieces"`
	Swatches map[string]plan.Swatch `json:"swatches"`
	Findings []finding.Finding      `json:"findings"`
	Finished bool                   `json:"finished"`
	// Coming marks what is shown as it was: how it is now is being worked out.
	Coming bool `json:"coming,omitempty"`
}

// NewPlan asks for a plan to be begun.
type NewPlan struct {
	Plan json.RawMessage `json:"plan"`
}

// JoinPlans asks for what two sides made of a plan in one.
type JoinPlans struct {
	Base   json.RawMessage `json:"base"`
	Mine   json.RawMessage `json:"mine"`
	Theirs json.RawMessage `json:"theirs"`
	// Prefer is the side that is followed where both changed the same: mine or theirs; neither when absent.
	Prefer planfile.Side `json:"prefer,omitempty"`
}

// Sides are two versions of a plan joined, following one side or the other where both changed the same: they differ in
// nothing else.
type Sides struct {
	Mine   json.RawMessage `json:"mine"`
	Theirs json.RawMessage `json:"theirs"`
}

// JoinedPlans is a plan with what both sides changed; or the paths of what both changed otherwise, and no plan.
type JoinedPlans struct {
	Plan  json.RawMessage `json:"plan,omitempty"`
	Apart []string        `json:"apart"`
}

// Standing is what a change of a plan stands on.
type Standing struct {
	// Base is the revision it was made on.
	Base int `json:"base"`
	// Save is its id, and Sent are those of earlier ones on Base whose answers did not come: one that is sent again
	// is answered as it was, and none of them is a change of another window.
	Save string   `json:"save,omitempty"`
	Sent []string `json:"sent,omitempty"`
}

// SavePlan asks for a version of a plan to be stored.
type SavePlan struct {
	Standing
	Plan  json.RawMessage `json:"plan"`
	Label string          `json:"label"`
	// Spoils is what becomes of what the change spoils; it is asked about when absent.
	Spoils spoil.Choice `json:"spoils,omitempty"`
	// Prefer is the side that is followed where another window changed the same since: mine or theirs; it is asked
	// about when absent.
	Prefer planfile.Side `json:"prefer,omitempty"`
}

// ChooseIn asks for a decision of the brief of a plan to be taken.
type ChooseIn struct {
	Plan json.RawMessage `json:"plan"`
	// For is the plan in the workshop, by its id.
	For string `json:"for"`
	// ID of the decision, and Key of what is chosen.
	ID  string `json:"id"`
	Key string `json:"key,omitempty"`
}

// Chosen is what makes the plan into the one with the decision taken.
type Chosen struct {
	Patch []finding.Change `json:"patch"`
}

// ConvertPlan asks for a plan to be written in another unit.
type ConvertPlan struct {
	Plan  json.RawMessage `json:"plan"`
	Units string          `json:"units"`
}

// Back asks for a step through the history of a plan.
type Back struct {
	Standing
	// Revision to be restored, and what becomes of what that spoils; it is asked about when
	// absent.
	Revision int          `json:"revision,omitempty"`
	Spoils   spoil.Choice `json:"spoils,omitempty"`
}

// HistoryEntry is one line of a plan's history.
type HistoryEntry struct {
	Revision int    `json:"revision"`
	Label    string `json:"label"`
	Made     string `json:"made"`
}

// ClothView is a cloth in the cupboard.
type ClothView struct {
	ID       int    `json:"id"`
	Revision int    `json:"revision"`
	Name     string `json:"name"`
	// Cloth is its description as saved.
	Cloth json.RawMessage `json:"cloth"`
	// Taken is the same as a plan takes it, without what there is of it.
	Taken json.RawMessage `json:"taken"`
	// Kind: cloth, batting, interlining or web.
	Kind string `json:"kind"`
	// Width, Usable and Have as shown; Have is absent when nobody said.
	Width  answer.L  `json:"width"`
	Usable answer.L  `json:"usable"`
	Have   *answer.L `json:"have,omitempty"`
	// HaveText is the length as it is asked for in a shop.
	HaveText string `json:"have_text"`
	// Wanted is what the plans on the shelf still take of it.
	Wanted answer.L `json:"wanted"`
	// Short is what has to be bought for those for which it does not suffice.
	Short answer.L `json:"short"`
	// Odd are the odd pieces, Kept what is kept for plans, Facts what else is known.
	Odd    []OddView   `json:"odd"`
	Kept   []KeptView  `json:"kept"`
	Facts  []string    `json:"facts"`
	Plans  []string    `json:"plans"`
	Print  string      `json:"print"`
	Swatch plan.Swatch `json:"swatch"`
}

// OddView is odd pieces alike; For is the plan they are kept for, empty for nobody's.
type OddView struct {
	Width  answer.L `json:"width"`
	Length answer.L `json:"length"`
	Count  int      `json:"count"`
	For    string   `json:"for"`
}

// KeptView is a length that is kept for a plan.
type KeptView struct {
	Plan   string   `json:"plan"`
	Length answer.L `json:"length"`
}

// NotionView is a thing in the cupboard that is not cloth.
type NotionView struct {
	ID       int    `json:"id"`
	Revision int    `json:"revision"`
	Name     string `json:"name"`
	// Notion is its description as saved.
	Notion json.RawMessage `json:"notion"`
	// Text says what it is for and how much there is.
	Text   string `json:"text"`
	Colour string `json:"colour"`
}

// SaveNotion asks for a notion to be added or changed.
type SaveNotion struct {
	Base   int             `json:"base,omitempty"`
	Notion json.RawMessage `json:"notion"`
}

// UnitsView is units in the cupboard that are sewn already.
type UnitsView struct {
	ID       int `json:"id"`
	Revision int `json:"revision"`
	// Name is what they are called, and Says how large they are and what they are of.
	Name  string `json:"name"`
	Says  string `json:"says"`
	Count int    `json:"count"`
	// Units is their description as saved.
	Units json.RawMessage `json:"units"`
	// Swatches are what their fabrics look like, of those the cupboard has.
	Swatches []plan.Swatch `json:"swatches"`
}

// AddUnits puts units into the cupboard.
type AddUnits struct {
	Units json.RawMessage `json:"units"`
}

// SaveUnits says how many there are of units in the cupboard.
type SaveUnits struct {
	Base  int `json:"base"`
	Count int `json:"count"`
}

// SaveCloth asks for a cloth to be added or changed.
type SaveCloth struct {
	Base  int             `json:"base,omitempty"`
	Cloth json.RawMessage `json:"cloth"`
}

// HabitsView is the habits new plans begin with, and the schools to choose from.
type HabitsView struct {
	Revision int             `json:"revision"`
	Units    string          `json:"units"`
	Habits   json.RawMessage `json:"habits"`
	// Chosen is the school each habit follows, by its key in Help.
	Chosen map[string]string `json:"chosen"`
	Help   []plan.HabitHelp  `json:"help"`
	// Decided is what is not left to a habit, each with the reason.
	Decided []plan.School `json:"decided"`
}

// SaveHabits asks for habits to be stored.
type SaveHabits struct {
	Base   int             `json:"base"`
	Units  string          `json:"units"`
	Habits json.RawMessage `json:"habits"`
}

// FinishPlan asks for a cover to be written into the log.
type FinishPlan struct {
	SaveLog
	// Save is its id: sent again it is the same entry.
	Save string `json:"save,omitempty"`
}

// SaveLog asks for what was written about a finished cover to be changed.
type SaveLog struct {
	Base    int    `json:"base"`
	Minutes int    `json:"minutes"`
	Notes   string `json:"notes"`
	Next    string `json:"next"`
	// Photos are the numbers of its pictures.
	Photos []int `json:"photos,omitempty"`
}

// LogView is a finished cover.
type LogView struct {
	ID       int    `json:"id"`
	Revision int    `json:"revision"`
	PlanID   string `json:"plan_id"`
	Title    string `json:"title"`
	Finished string `json:"finished"`
	Minutes  int    `json:"minutes"`
	Notes    string `json:"notes"`
	Next     string `json:"next"`
	// Photos are the numbers of its pictures, Troubles what went wrong.
	Photos   []int         `json:"photos"`
	Troubles []plan.Mishap `json:"troubles,omitempty"`
	// Plan is the plan file as it was finished.
	Plan     json.RawMessage        `json:"plan"`
	Gates    []GateView             `json:"gates"`
	Pieces   []answer.Piece         `json:"pieces"`
	Swatches map[string]plan.Swatch `json:"swatches"`
	// Usual is how many minutes it was reckoned to take with all its covers. PlannedCost is
	// what it costs with them, Cost with the time it took; empty where nobody said how
	// long, or where it cannot be cut as it stands.
	Usual       int    `json:"usual"`
	PlannedCost string `json:"planned_cost"`
	Cost        string `json:"cost"`
}

// BroughtIn is how much of a whole workshop was brought in.
type BroughtIn struct {
	Plans   int `json:"plans"`
	Cloths  int `json:"cloths"`
	Notions int `json:"notions"`
	Samples int `json:"samples"`
	Covers  int `json:"covers"`
	Photos  int `json:"photos"`
}

// FiguresView is what the finished covers tell.
type FiguresView struct {
	Figures compare.Figures `json:"figures"`
	// Seams is the mean error of a seam in words, such as 0.12 mm too wide.
	Seams string `json:"seams"`
}

// GateView is what was planned and what was measured at a gate.
type GateView struct {
	Title    string       `json:"title"`
	Planned  answer.Size  `json:"planned"`
	Measured *answer.Size `json:"measured,omitempty"`
	// Off is measured minus planned.
	Off *answer.Size `json:"off,omitempty"`
}

// Refusal is an error answer, problem+json as in RFC 9457.
type Refusal struct {
	Type   string `json:"type"`
	Title  string `json:"title"`
	Status int    `json:"status"`
	// Detail says what to do instead.
	Detail string `json:"detail"`
	// Errors name what cannot be read, each with its path.
	Errors []planfile.Problem `json:"errors,omitempty"`
	// Current is the newest version, when a change was based on an older one.
	Current *PlanView `json:"current,omitempty"`
	// Apart is what was sent and the newest version joined, where both changed the same.
	Apart *Sides `json:"apart,omitempty"`
	// Spoils is what a change would spoil of what is done already.
	Spoils []spoil.Spoil `json:"spoils,omitempty"`
}

// Types is everything the user interface exchanges with the server; its types
// are generated from it.
type Types struct {
	Reckoning      answer.Reckoning  `json:"reckoning"`
	PlanView       PlanView          `json:"plan_view"`
	Shelf          []ShelfItem       `json:"shelf"`
	NewPlan        NewPlan           `json:"new_plan"`
	SavePlan       SavePlan          `json:"save_plan"`
	ConvertPlan    ConvertPlan       `json:"convert_plan"`
	JoinPlans      JoinPlans         `json:"join_plans"`
	JoinedPlans    JoinedPlans       `json:"joined_plans"`
	ChooseIn       ChooseIn          `json:"choose_in"`
	Chosen         Chosen            `json:"chosen"`
	Starts         StartsView        `json:"starts"`
	BeginPlan      BeginPlan         `json:"begin_plan"`
	Closures       []compare.Closing `json:"closures"`
	Fold           answer.FoldShown  `json:"fold"`
	Door           DoorView          `json:"door"`
	Code           CodeView          `json:"code"`
	Devices        DevicesView       `json:"devices"`
	SetDevice      SetDevice         `json:"set_device"`
	Readings       []ReadingView     `json:"readings"`
	SendJob        SendJob           `json:"send_job"`
	Job            JobView           `json:"job"`
	Strokes        StrokesView       `json:"strokes"`
	WeighCloth     WeighCloth        `json:"weigh_cloth"`
	WeighedCloth   WeighedCloth      `json:"weighed_cloth"`
	Pattern        PatternView       `json:"pattern"`
	FindLayouts    FindLayouts       `json:"find_layouts"`
	Layouts        []LayoutView      `json:"layouts"`
	EditBlock      EditBlock         `json:"edit_block"`
	MoveFitting    MoveFitting       `json:"move_fitting"`
	MovedFitting   MovedFitting      `json:"moved_fitting"`
	MoveShape      MoveShape         `json:"move_shape"`
	ShapesView     ShapesView        `json:"shapes"`
	Back           Back              `json:"back"`
	HistoryEntry   []HistoryEntry    `json:"history"`
	ClothView      []ClothView       `json:"cloths"`
	SaveCloth      SaveCloth         `json:"save_cloth"`
	ClothFile      ClothFileView     `json:"cloth_file"`
	Shopping       ShoppingView      `json:"shopping"`
	Notions        []NotionView      `json:"notions"`
	SaveNotion     SaveNotion        `json:"save_notion"`
	Units          []UnitsView       `json:"units"`
	AddUnits       AddUnits          `json:"add_units"`
	SaveUnits      SaveUnits         `json:"save_units"`
	AskSearch      AskSearch         `json:"ask_search"`
	Search         SearchView        `json:"search"`
	AskBecome      AskBecome         `json:"ask_become"`
	Become         BecomeView        `json:"become"`
	Sold           []SoldView        `json:"sold"`
	Together       TogetherView      `json:"together"`
	Practice       PracticeView      `json:"practice"`
	AnswerPractice AnswerPractice    `json:"answer_practice"`
	PracticeResult PracticeResult    `json:"practice_result"`
	Schedule       ScheduleView      `json:"schedule"`
	Photo          PhotoView         `json:"photo"`
	MovedCloth     MovedCloth        `json:"moved_cloth"`
	SampleView     []SampleView      `json:"samples"`
	SampleUses     SampleUses        `json:"sample_uses"`
	SaveSample     SaveSample        `json:"save_sample"`
	HabitsView     HabitsView        `json:"habits"`
	SaveHabits     SaveHabits        `json:"save_habits"`
	FinishPlan     FinishPlan        `json:"finish_plan"`
	Offers         []OfferView       `json:"offers"`
	BroughtIn      BroughtIn         `json:"brought_in"`
	Figures        FiguresView       `json:"figures"`
	LogView        []LogView         `json:"log"`
	Refusal        Refusal           `json:"refusal"`
}
