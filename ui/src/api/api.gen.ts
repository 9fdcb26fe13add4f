// Generated from the Go types by scripts/types.mjs; do not edit.

export interface Types {
reckoning: Reckoning
plan_view: PlanView
shelf: ShelfItem[]
new_plan: NewPlan
save_plan: SavePlan
convert_plan: ConvertPlan
join_plans: JoinPlans
joined_plans: JoinedPlans
choose_in: ChooseIn
chosen: Chosen
starts: StartsView
begin_plan: BeginPlan
closures: Closing[]
fold: FoldShown
door: DoorView
code: CodeView
devices: DevicesView
set_device: SetDevice
readings: ReadingView[]
send_job: SendJob
job: JobView
strokes: StrokesView
weigh_cloth: WeighCloth
weighed_cloth: WeighedCloth
pattern: PatternView
find_layouts: FindLayouts
layouts: LayoutView[]
edit_block: EditBlock
move_fitting: MoveFitting
moved_fitting: MovedFitting
move_shape: MoveShape
shapes: ShapesView
back: Back
history: HistoryEntry[]
cloths: ClothView[]
save_cloth: SaveCloth
cloth_file: ClothFileView
shopping: ShoppingView
notions: NotionView[]
save_notion: SaveNotion
units: UnitsView[]
add_units: AddUnits
save_units: SaveUnits
ask_search: AskSearch
search: SearchView
ask_become: AskBecome
become: BecomeView
sold: SoldView[]
together: TogetherView
practice: PracticeView
answer_practice: AnswerPractice
practice_result: PracticeResult
schedule: ScheduleView
photo: PhotoView
moved_cloth: MovedCloth
samples: SampleView[]
sample_uses: SampleUses
save_sample: SaveSample
habits: HabitsView
save_habits: SaveHabits
finish_plan: FinishPlan
offers: OfferView[]
brought_in: BroughtIn
figures: FiguresView
log: LogView[]
refusal: Refusal
}
/**
 * Reckoning is everything that follows from a plan. Counts are for one cover;
 * copies multiply cloths and lays only.
 */
export interface Reckoning {
format: string
title: string
/**
 * Settled is the plan with every default written out.
 */
settled?: {
[k: string]: unknown
}
pieces: Piece[]
cuts: Cut[]
/**
 * Units that blocks are sewn from, alike ones together whichever way they are turned.
 */
units: Units[]
lengths: Notion[]
back?: BackShown
joins: Join[]
/**
 * Net lays the pieces as they join: rows of columns, each a stack from the top.
 */
net: Spot[][][]
/**
 * Strips of piping and binding as they lie on their cloth.
 */
edge_strips: Strips[]
fibre?: Fibre
/**
 * Fittings in their places, in the order of the plan.
 */
fittings: Fitting[]
/**
 * Schools the plan follows, by the keys of its habits.
 */
schools: {
[k: string]: string
}
/**
 * Counts of things, by name.
 */
counts: {
[k: string]: number
}
cloths: ClothNeed[]
/**
 * Sums explain sizes: front.width is the front as trimmed; front.finished.width,
 * front.before_quilting.width, front.under.width and <cut id>.width the others.
 */
sums: {
[k: string]: Term[]
}
steps: Step[]
/**
 * SetUps is how often the machine is set up anew, Trips how often one walks to the iron.
 */
set_ups: number
trips: number
/**
 * Left is the time the rest of the work takes, for all covers, in minutes; Piles are
 * where each of several covers is.
 */
left: number
piles: Pile[]
remedies: Remedy[]
guide?: Guide
findings: Finding[]
/**
 * Pads are those that shops have for a cushion, the one that fills it best first; absent for other covers and where
 * the pad is made.
 */
pads?: PadFit[]
/**
 * Inspections are what is looked at when it is done.
 */
inspections?: Inspection[]
cost?: Cost
}
/**
 * Piece is one piece of the cover at its three sizes.
 */
export interface Piece {
name: string
/**
 * Config is the name under which the plan decides what it is made of.
 */
config: string
title: string
count: number
finished: Size
trimmed: Size
before_quilting: Size
planned?: Size1
/**
 * TakeUp in percent, across and along; where it comes from; and what it lies between,
 * across and along, where it is an estimate or a sample.
 * 
 * @minItems 2
 * @maxItems 2
 */
take_up: [number, number]
take_up_from: string
/**
 * @minItems 2
 * @maxItems 2
 */
take_up_range: [[number, number], [number, number]]
/**
 * Outline is the finished line, in nanometres from its top left corner,
 * right and down; TrimmedOutline and CutOutline are what is cut to after and
 * before quilting.
 */
outline: Vertex[]
trimmed_outline: Vertex[]
cut_outline: Vertex[]
/**
 * Ditch is the line that keeps the pad inside a flange; empty without one.
 */
ditch: Vertex[]
/**
 * Cells are the parts where they lie, in the same frame.
 */
cells: Cell[]
quilting?: Quilting
/**
 * Seams are where the piece is joined, on its finished line.
 */
seams: Seam[]
/**
 * Press is where the allowances of its face's seams lie, and Conflicts the points at
 * which two of them lie to the same side.
 */
press: PressSeam[]
press_conflicts: Point[]
patch?: Size2
gather?: Gathers
thick: L2
panel?: PanelShown
windows?: WindowsShown
/**
 * Shapes are laid on it, the lowest first, and Threads sew their edges, in working
 * order.
 */
shapes: Shape[]
threads: Thread[]
/**
 * Outlook is how true a pieced one is likely to come out, in each direction.
 */
outlook: Outlook[]
/**
 * Ways are its colourways as they would lie.
 */
ways: Way[]
/**
 * Methods compare how the units of its blocks can be made, all alike pieces together.
 */
methods: UnitMethods[]
/**
 * Waits reports that the piece is cut only after a measurement.
 */
waits: boolean
/**
 * Grain is the way the length of its cloth runs on a piece of one cloth: up,
 * across, or from the bottom to the top of a print with one direction, one-way;
 * empty on a pieced face.
 */
grain: string
}
/**
 * Size is a width across and a height up.
 */
export interface Size {
width: L
height: L
}
/**
 * L is a length as it is shown.
 */
export interface L {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * Size is a width across and a height up.
 */
export interface Size1 {
width: L
height: L
}
/**
 * Vertex is a corner of an outline and the side that leaves it: straight where
 * it has no bulge, else an arc whose quarter angle has this tangent.
 */
export interface Vertex {
x: number
y: number
bulge?: number
}
/**
 * Cell is one part where it lies on a piece.
 */
export interface Cell {
cut: string
cloth: string
x: number
y: number
width: number
height: number
row?: number
column?: number
/**
 * Band is the number of the row it is sewn in, which on point runs slantwise.
 */
band?: number
/**
 * Over tells that it lies on cells before it, not beside them.
 */
over?: boolean
/**
 * Line is its outline where it is no rectangle.
 */
line?: Vertex[]
}
export interface Quilting {
lines: QuiltLine[]
seam: L1
thread: L
bobbins: number
minutes: number
/**
 * Borders is how many of the minutes borders take that are quilted by themselves; After tells that those are sewn
 * on when the rest is quilted.
 */
borders?: number
after?: boolean
sample?: SampleQuilting
}
/**
 * QuiltLine is one stitched line.
 */
export interface QuiltLine {
/**
 * Kind: line, wave, echo, ditch, diagonal, beside, around, across or free.
 */
kind: string
/**
 * Border tells that it lies in borders that are quilted by themselves.
 */
border?: boolean
/**
 * Family of parallel lines it belongs to, -1 for others.
 */
family: number
/**
 * Path from its beginning to its end, as SVG path data in millimetres from the finished
 * top left corner.
 */
path: string
length: L
}
/**
 * L is a length as it is shown.
 */
export interface L1 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
export interface SampleQuilting {
lines?: SampleLines[]
pair?: string
echo?: string
free?: string
}
/**
 * SampleLines is a family of lines of it.
 */
export interface SampleLines {
pitch: string
angle?: number
shift?: string
wave?: string
}
/**
 * Seam is one seam of a piece as it is drawn.
 */
export interface Seam {
/**
 * Join is the number of the join, from 1, in sewing order.
 */
join: number
/**
 * Path along the seam line, the last vertex ending it.
 */
path: Vertex[]
/**
 * Marks are its middle and its quarters.
 */
marks: Mark[]
/**
 * Clips are the marks between which a straight seam is clipped, since it goes
 * round a corner of the other piece: begin and end in turn.
 */
clips: Mark[]
}
/**
 * Mark is a point on a seam line and the direction of the seam there, in degrees.
 */
export interface Mark {
x: number
y: number
direction: number
}
/**
 * PressSeam is one seam of a face and the side its allowance lies on, seen from the
 * front: left, right, up, down, slanting ones as up-right, or open, or dark.
 */
export interface PressSeam {
x1: number
y1: number
x2: number
y2: number
/**
 * Kind is when it is sewn: block, row, between, border, stack.
 */
kind: string
/**
 * Band is the row it lies in or under.
 */
band?: number
side: string
}
/**
 * Point is on a piece of cloth, in nanometres from its top left corner.
 */
export interface Point {
x: number
y: number
}
/**
 * Size is a width across and a height up.
 */
export interface Size2 {
width: L
height: L
}
export interface Gathers {
/**
 * Direction it is drawn in: across, along or diagonal.
 */
direction: string
/**
 * Ratio is before ÷ after, as given or from the sample.
 */
ratio: number
wanted: L
needed: L
piece: L
yields: L
}
/**
 * L is a length as it is shown.
 */
export interface L2 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
export interface PanelShown {
size: Size
/**
 * Squares of a counted panel, and how many of them lie outside its design on a side.
 * 
 * @minItems 2
 * @maxItems 2
 */
squares: [number, number]
/**
 * @minItems 2
 * @maxItems 2
 */
outside: [number, number]
/**
 * From are the cutting lines of a printed panel, from its left, right, top and bottom
 * edge; empty where it was not measured.
 */
from: L[]
/**
 * Middle is what stays in the middle of a print, from its left and its top edge.
 */
middle: L[]
}
export interface WindowsShown {
unit: L
template: L
side: L
whole: number
half: number
points: number
eats: number
}
/**
 * Shape is a shape laid on a piece.
 */
export interface Shape {
/**
 * Index in the list of its face, and About its path in the plan.
 */
index: number
about: string
title: string
/**
 * Twin is the second of two.
 */
twin?: boolean
cloth: string
/**
 * Stitch its edge is sewn with; empty where it is not. Line tells that it is
 * stitching alone.
 */
stitch: string
line?: boolean
late?: boolean
level: number
/**
 * Path is its outline in SVG path data, and Sewn and Covered the stretches of its
 * edge that show and that do not, all in millimetres from the finished top left
 * corner of the piece.
 */
path: string
sewn: string
covered: string
box: Box
from: Distances
size: Size3
shows: L3
round: L
lap?: L4
}
/**
 * Box is a rectangle on a piece, in nanometres from its finished top left corner.
 */
export interface Box {
x: number
y: number
width: number
height: number
}
/**
 * Distances from the four edges of a piece.
 */
export interface Distances {
left: L
right: L
top: L
bottom: L
}
/**
 * Size is a width across and a height up.
 */
export interface Size3 {
width: L
height: L
}
/**
 * L is a length as it is shown.
 */
export interface L3 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L4 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * Thread is what one thread sews of the shapes on a piece.
 */
export interface Thread {
cloth: string
stitch: string
/**
 * Darker by two shades than its cloth: of a line.
 */
darker?: boolean
late?: boolean
/**
 * Shapes it sews, by their numbers on the piece from 0; Seam together, and Length of
 * thread.
 */
shapes: number[]
seam: L
length: L
}
/**
 * Outlook is how true one direction of a pieced panel is likely to come out.
 */
export interface Outlook {
/**
 * Direction is across or up.
 */
direction: string
seams: number
cuts: number
mean: L5
sd: L
tolerance: L
/**
 * Chance in percent that it lies within it, and how much of the spread is from seams,
 * in percent.
 */
chance: number
from_seams: number
/**
 * From says whose seams it is reckoned by.
 */
from: string
/**
 * Buys are what would help so that it shows, with the chance then.
 */
buys: Buy[]
}
/**
 * L is a length as it is shown.
 */
export interface L5 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * Buy is something that makes a panel truer, and the chance in percent then.
 */
export interface Buy {
what: string
chance: number
}
/**
 * Way is a face in other cloths.
 */
export interface Way {
/**
 * Key it has in the plan.
 */
key: string
name: string
cells: Cell[]
}
/**
 * UnitMethods is what the units of a block can be made from, side by side.
 */
export interface UnitMethods {
name: string
need: number
methods: UnitMethod[]
}
/**
 * UnitMethod is one way of making units.
 */
export interface UnitMethod {
/**
 * School of triangles that does so.
 */
school: string
name: string
cuts: string
pieces: number
spare: number
/**
 * Cloth of the pieces in square inches or centimetres, and seams that are sewn.
 */
cloth: string
seams: number
/**
 * Chosen is the school of the plan; Least takes the least cloth, Quickest the fewest
 * seams.
 */
chosen: boolean
least: boolean
quickest: boolean
}
/**
 * Cut is one shape to be cut, with how many alike in one cover.
 */
export interface Cut {
id: string
about: About
piece: string
part: string
title: string
layer: string
cloth: string
shape: string
width: L
height: L
count: number
/**
 * Total is how many are cut for all copies, those that were spoiled once more.
 */
total: number
/**
 * Gives is how many patches one piece gives, Patches how many are needed for all copies, Sewn how many of those are
 * in units that are sewn already, Over how many more they give, and As what one finishes as; absent where a piece
 * is a patch.
 */
gives?: number
patches?: number
sewn?: number
over?: number
/**
 * Whole is how many of the pieces stay whole until they are sewn to each other in pairs.
 */
whole?: number
as?: string
/**
 * Line is the outline of a patch's template within the piece.
 */
line?: Vertex[]
/**
 * Path is the template of a shape that is laid on, as SVG path data in millimetres
 * from its own top left corner; mirrored where it is fused.
 */
path?: string
/**
 * Mirrored tells that the path is drawn as seen from the wrong side, and Inset how far
 * within the piece it lies, in nanometres.
 */
mirrored?: boolean
inset?: number
/**
 * Motif says where on it a motif of the print lies; absent where it may lie anywhere. Selvedge tells that one of
 * its edges is a selvedge.
 */
motif?: string
selvedge?: boolean
/**
 * Waits names the gate this cut follows; empty when it can be cut now.
 */
waits?: string
/**
 * WaitsFor is what is measured there, in words.
 */
waits_for?: string
/**
 * Spoiled is how many went wrong and are cut once more, over all copies.
 */
spoiled?: number
/**
 * Done reports that the cut is ticked off in the plan.
 */
done: boolean
}
export interface About {
/**
 * Piece of the cover; absent for what belongs to none or to several.
 */
piece?: string
/**
 * Of is the innermost part of the plan it belongs to: a border, a strip, a shape, a
 * fitting, or the part of a stack; absent where it belongs to the piece as a whole.
 */
of?: string
/**
 * Twin is the second of two shapes.
 */
twin?: boolean
/**
 * Role is what it is, or what is done.
 */
role: string
/**
 * Edge where the strips of a border differ, Cloth where there is one for each cloth,
 * Layer of what lies under or inside something.
 */
edge?: string
cloth?: string
layer?: string
/**
 * No tells alike things without a key apart, from 1.
 */
no?: number
/**
 * Late is what is done to shapes that are laid on late.
 */
late?: boolean
/**
 * Part of a stack it lies in, Ring the number of its border, from 1 inside, and Paints
 * where in the face of its piece its cloth is decided, as a JSON pointer; of cuts.
 */
part?: string
ring?: number
paints?: string
/**
 * Pair of strips of a border, 1 those that are sewn on first, 2 those over them; Level of
 * shapes that are laid on, and Thread the number of the one that sews them, from 1; of
 * steps.
 */
pair?: number
level?: number
thread?: number
}
/**
 * Units are units of a block that are alike.
 */
export interface Units {
/**
 * Step they are sewn in, by its id.
 */
step: string
/**
 * Name is what several of them are called, and Says all that tells them: how large, of which fabrics.
 */
name: string
says: string
/**
 * Cells is one of them as a block is written by letters of its own, Cloths the letters of the fabrics of the plan
 * these stand for, Width and Height as sewn.
 */
cells: string
cloths: string[]
width: L
height: L
/**
 * Need is how many all covers need, Have how many of them are sewn already, Over how many more come of what is cut
 * for the rest, Kept how many of those are in the cupboard, and Held how many like them are in the cupboard now.
 */
need: number
have?: number
over?: number
kept?: number
held?: number
/**
 * Made are the places in the plan's list of units sewn already that tell of them, There how many those are, and
 * Surplus how many of these nothing takes.
 */
made: number[]
there?: number
surplus?: number
/**
 * Spare is how many can be put into the cupboard, and Takes how many can be taken out of it: none where the plan
 * put some there itself.
 */
spare?: number
takes?: number
}
/**
 * Notion is a length of something that is not a piece.
 */
export interface Notion {
what: string
length: L
}
/**
 * BackShown is the closure as it comes out.
 */
export interface BackShown {
kind: string
overlap: L
/**
 * Share of the finished width, in percent.
 */
share: number
opening: L6
cloth: L7
notions: Notion[]
buttons: number
/**
 * Lies are its pieces as they lie, the lowest first, and Marks what is on them, in
 * the frame of the back.
 */
lies: BackLie[]
marks: BackMark[]
}
/**
 * L is a length as it is shown.
 */
export interface L6 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L7 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * BackLie is a piece of the back as it lies.
 */
export interface BackLie {
cut: string
label: string
box: Box1
}
/**
 * Box is a rectangle on a piece, in nanometres from its finished top left corner.
 */
export interface Box1 {
x: number
y: number
width: number
height: number
}
/**
 * BackMark is a hem, a fold, a tape, a zip, a button, a tie or a gap; a line where one
 * of its sides is 0.
 */
export interface BackMark {
kind: string
box: Box1
}
/**
 * Join is two edges that are sewn to each other.
 */
export interface Join {
title: string
count: number
/**
 * @minItems 2
 * @maxItems 2
 */
between: [string, string]
/**
 * @minItems 2
 * @maxItems 2
 */
lengths: [L, L]
off: L
/**
 * Fit says whether both sides are alike, whether one eases in, or whether it is
 * off: alike, eases, off.
 */
fit: string
}
/**
 * Spot is a piece where it stands in the net.
 */
export interface Spot {
piece: string
/**
 * Quarters are the quarter turns, clockwise, that bring it to its neighbour.
 */
quarters: number
}
/**
 * Strips are the strips of an edging as they lie on the piece of cloth they are cut
 * from.
 */
export interface Strips {
/**
 * What is piping or binding, Cut the piece its strips are cut from.
 */
what: string
cut: string
/**
 * Bias tells that they are cut slantwise from it.
 */
bias?: boolean
width: L8
need: L
joined: L
area: L
cloth: Size
lie: StripLie[]
}
/**
 * L is a length as it is shown.
 */
export interface L8 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * StripLie is one strip on its cloth.
 */
export interface StripLie {
length: L
corners: Point[]
}
export interface Fibre {
/**
 * Gate is where what is weighed is recorded.
 */
gate: string
least: number
most: number
/**
 * Weighed is what it was filled with; absent where nobody said.
 */
weighed?: number
}
/**
 * Fitting is a handle, a pocket or the like in its place.
 */
export interface Fitting {
/**
 * Index in the plan's list, and the key it has there.
 */
index: number
key: string
title: string
on: string
/**
 * Boxes it takes up, in the frame of its piece.
 */
boxes: Box1[]
/**
 * Round tells that the boxes hold circles.
 */
round: boolean
/**
 * Lines of stitching across it, in the same frame.
 */
lines: Line[]
from: Distances1
/**
 * Check names its distances from all four edges.
 */
check: string
fixing: string
}
/**
 * Line is a line of stitching from one point to another, in nanometres.
 */
export interface Line {
x1: number
y1: number
x2: number
y2: number
}
/**
 * Distances from the four edges of a piece.
 */
export interface Distances1 {
left: L
right: L
top: L
bottom: L
}
/**
 * ClothNeed is one cloth with its lay.
 */
export interface ClothNeed {
cloth: string
name: string
length: L
need: L9
buy: L10
buy_text: string
pieces?: number
have?: L11
short: L
lay: Lay
free?: L12
/**
 * Moves are how the length is cut, in their order.
 */
moves: Move[]
/**
 * Odd are the odd pieces that are cut first, each with its lay.
 */
odd: OddLay[]
/**
 * Done tells that all is cut of it, Returned that what was left over is back in the
 * cupboard.
 */
done?: boolean
returned?: boolean
/**
 * Sought tells that a shorter lay was looked for.
 */
sought?: boolean
/**
 * InCupboard tells that it is taken from the cupboard.
 */
in_cupboard?: boolean
kept?: Kept
}
/**
 * L is a length as it is shown.
 */
export interface L9 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L10 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L11 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * Lay is a cloth laid out: x across the width, y along the length.
 */
export interface Lay {
width: L
length: L
bound: L
/**
 * Limit is what makes the bound so long: area, tallest, width or heights.
 */
limit: string
/**
 * Certain tells that no lay of the plan's school is shorter.
 */
certain?: boolean
placed: Placed[]
/**
 * Strips from the squared end; none where pieces are placed freely.
 */
strips: Strip[]
}
/**
 * Placed is one rectangle of one cut.
 */
export interface Placed {
/**
 * Cut is the index into cuts.
 */
cut: number
x: L
y: L
width: L
height: L
room: Rect
turned: boolean
/**
 * Strip it is cut from and column within that, from 1; 0 where it is placed freely.
 */
strip: number
column: number
}
export interface Rect {
x: L
y: L
width: L
height: L
}
/**
 * Strip is one cut across the cloth.
 */
export interface Strip {
y: L
height: L
}
/**
 * L is a length as it is shown.
 */
export interface L12 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * Move is one thing to do at the cutting table.
 */
export interface Move {
/**
 * Kind is square, find, gap, across, out, leave, uncut, take or round: what tells moves apart.
 */
kind: string
/**
 * Gives tells that pieces come of it, Within that it is about what is left of the strips cut just
 * before it, and Now that it is to be done at the table now.
 */
gives?: boolean
within?: boolean
now?: boolean
/**
 * Strips are those it is about, from 1; several lie on each other.
 */
strips: number[]
/**
 * Parts are what it gives, or what something stays whole for.
 */
parts: MovePart[]
/**
 * Title says it in large letters, Text what is done then; empty where the title says all.
 */
title: string
text?: string
/**
 * Places are the pieces of the lay it is about.
 */
places: number[]
done?: boolean
/**
 * Waits is what is measured first.
 */
waits?: string
/**
 * Ends are the cuts, by their index, of which nothing is left to be cut after it.
 */
ends: number[]
}
/**
 * MovePart is so many pieces of a cut, by its index.
 */
export interface MovePart {
cut: number
count: number
}
/**
 * OddLay is odd pieces of one size, laid out alike.
 */
export interface OddLay {
width: L
length: L
count: number
lay: Lay
/**
 * Moves are how it is cut.
 */
moves: Move[]
}
export interface Kept {
length: L
/**
 * Odd is how many odd pieces.
 */
odd: number
}
/**
 * Term is one named part of a size.
 */
export interface Term {
term: string
amount: L
kind: string
/**
 * Again tells that it is the one before once more: said together with it, as so many times.
 */
again?: boolean
}
/**
 * Step is one thing to do, in working order.
 */
export interface Step {
id: string
about: About1
stage: string
title: string
text: string
/**
 * Piece that lies on the table, by its name; absent where it is several or none.
 */
piece?: string
/**
 * Act is what becomes of it: unit, row, rows, border, parts, quilt; absent where its drawing stays
 * as it was.
 */
act?: string
/**
 * Turned tells that its wrong side lies up.
 */
turned?: boolean
needs: string[]
cuts: string[]
row?: number
/**
 * Bands are the sewn rows it is about.
 */
bands?: number[]
/**
 * Cells of its piece that it is about, by their numbers from 0; absent where it is about
 * all of them, or, Aside, about none.
 */
cells?: number[]
aside?: boolean
press?: string
side?: string
machine?: string
check?: string
/**
 * Tips are what makers say with the work in hand, each at the first step it belongs to.
 */
tips?: string[]
caution?: string
/**
 * Cautions are the same one by one.
 */
cautions?: Caution[]
/**
 * Join is the number of the seam it sews, as in joins, Edging what it makes, piping or
 * binding, and Fitting the one it sews on, by its number in the plan, all from 1; absent
 * at other steps.
 */
join?: number
edging?: string
fitting?: number
/**
 * Gate names what is measured here, and Reads what the tape reads: size, width, sides,
 * overlap or edge.
 */
gate?: string
reads?: string
expect?: Size
done: boolean
/**
 * Minutes is how long it takes for one cover at a usual pace, Took how long it took;
 * absent where nobody said.
 */
minutes: number
took?: number
/**
 * Edges are what is worked at or measured, marked on the pieces; Lying are pieces as they lie on the table by
 * themselves. Absent where the drawing of the piece says it.
 */
edges?: Edge[]
lying?: Lying[]
/**
 * Stack is what lies on what when it is done, from below.
 */
stack?: Sheet[]
/**
 * Changes name what is changed at the machine for it: foot, needle, thread, stitch,
 * guide; absent where it stays as it is set up.
 */
changes?: string[]
/**
 * Of is the step it is a part of, by its id; absent where it is not divided.
 */
of?: string
/**
 * Again are the steps, by their ids, that are done already and need it, directly or
 * not: where it is done again they come again too. Absent where it is not done.
 */
again?: string[]
/**
 * Rest is how many minutes it cools or dries when it is done, before what comes after
 * it is begun.
 */
rest?: number
/**
 * Trip is the walk to the iron in which it is pressed, from 1: steps of one trip are
 * pressed together, when the last of them is sewn.
 */
trip?: number
}
export interface About1 {
/**
 * Piece of the cover; absent for what belongs to none or to several.
 */
piece?: string
/**
 * Of is the innermost part of the plan it belongs to: a border, a strip, a shape, a
 * fitting, or the part of a stack; absent where it belongs to the piece as a whole.
 */
of?: string
/**
 * Twin is the second of two shapes.
 */
twin?: boolean
/**
 * Role is what it is, or what is done.
 */
role: string
/**
 * Edge where the strips of a border differ, Cloth where there is one for each cloth,
 * Layer of what lies under or inside something.
 */
edge?: string
cloth?: string
layer?: string
/**
 * No tells alike things without a key apart, from 1.
 */
no?: number
/**
 * Late is what is done to shapes that are laid on late.
 */
late?: boolean
/**
 * Part of a stack it lies in, Ring the number of its border, from 1 inside, and Paints
 * where in the face of its piece its cloth is decided, as a JSON pointer; of cuts.
 */
part?: string
ring?: number
paints?: string
/**
 * Pair of strips of a border, 1 those that are sewn on first, 2 those over them; Level of
 * shapes that are laid on, and Thread the number of the one that sews them, from 1; of
 * steps.
 */
pair?: number
level?: number
thread?: number
}
/**
 * Caution is what is said where something can hurt someone: the word it goes by, and all of it. Said tells that an
 * earlier step said it in full.
 */
export interface Caution {
word: string
text: string
said?: boolean
}
/**
 * Edge is something marked on a piece in a step, in the piece's frame.
 */
export interface Edge {
piece: string
/**
 * Kind is edge, tape, begin or corner.
 */
kind: string
/**
 * Path along it, the last vertex ending it; one vertex where it is a point.
 */
path: Vertex[]
/**
 * Text beside it, such as its length; absent without.
 */
text?: string
}
/**
 * Lying is a piece as it lies on the table by itself, as cut.
 */
export interface Lying {
title: string
/**
 * Cloth by its letter, Wrong its wrong side up.
 */
cloth: string
wrong?: boolean
size: Size
/**
 * Edge is the side that is worked at as it lies, left, right or bottom, or empty where it is a fold or none;
 * Along is how long that is, and Folds how far from the side the lines are that it is folded on.
 */
edge: string
along: L
folds: L[]
}
/**
 * Sheet is one layer on the table.
 */
export interface Sheet {
what: string
up?: string
/**
 * Cloth is the letter of its cloth, where it is of one.
 */
cloth?: string
}
/**
 * Pile is several covers that wait at the same step.
 */
export interface Pile {
/**
 * Step is its title; empty for covers that are through all of them.
 */
step: string
count: number
}
/**
 * Remedy is one way to deal with a difference.
 */
export interface Remedy {
code: Remedy
/**
 * About is the key of the plan that chooses it.
 */
about: string
/**
 * Chosen reports that it is the one that is taken.
 */
chosen: boolean
text: string
}
export interface Guide {
/**
 * @minItems 2
 * @maxItems 2
 */
top: [L, L]
/**
 * @minItems 2
 * @maxItems 2
 */
right: [L, L]
/**
 * @minItems 2
 * @maxItems 2
 */
bottom: [L, L]
/**
 * @minItems 2
 * @maxItems 2
 */
left: [L, L]
/**
 * Fits tells that no cut lies outside the panel, Skew by how much its diagonals differ,
 * and Off by how much the measurements do not agree.
 */
fits: boolean
skew: L
off: L
}
/**
 * Finding is one thing to know about a plan.
 */
export interface Finding {
level: string
/**
 * Code names the kind of finding for programs.
 */
code: string
/**
 * About is a path into the plan, such as /back/overlap.
 */
about: string
/**
 * Text says what is so, with the figures.
 */
text: string
/**
 * Remedy says what to do or to type instead.
 */
remedy?: string
/**
 * Remedies are changes of the plan that remove it and bring no stop, each tried: of stops, and where the plan
 * can be cut of warnings and notes that have one plain answer; only where somebody asked.
 */
remedies?: Mend[]
}
/**
 * Mend is a change of a plan that removes a finding.
 */
export interface Mend {
/**
 * Text says what is changed, and to what.
 */
text: string
/**
 * Patch of the plan file as it was typed.
 */
patch: Change[]
}
/**
 * Change is one operation of a JSON patch. Source: RFC 6902.
 */
export interface Change {
op: string
path: string
value?: unknown
}
/**
 * PadFit is a pad that is sold, and how it fills the cover: full, plump or slack.
 */
export interface PadFit {
size: Size
round?: boolean
how: string
why: string
}
/**
 * Inspection is one thing that is looked at before a cover is called done. What is
 * acceptable is common practice.
 */
export interface Inspection {
id: string
look: string
/**
 * Fine says what is acceptable.
 */
fine: string
}
export interface Cost {
/**
 * Lines are cloths and notions, each with how its cost comes about.
 */
lines: CostLine[]
/**
 * Materials, Work, Other, Cost, Margin, Total and Each as they are written.
 */
materials: string
work: string
other: string
cost: string
margin: string
total: string
each: string
covers: number
/**
 * Unpriced names what nobody put a price to, LeftOut what is never counted.
 */
unpriced: string[]
left_out: string[]
}
/**
 * CostLine is one material; its cost is empty where it has no price.
 */
export interface CostLine {
name: string
how: string
cost: string
}
/**
 * PlanView is a stored plan with its reckoning.
 */
export interface PlanView {
id: string
revision: number
/**
 * Plan is the plan file as it was saved.
 */
plan: {

}
reckoning: Reckoning
brief: Brief
last?: LastCut
can_undo: boolean
can_redo: boolean
changed: string
}
export interface Brief {
stages: Section[]
}
/**
 * Section is what is decided together.
 */
export interface Section {
name: string
/**
 * About are the paths of what is found that stands here: the longest path of all stages that leads to a
 * finding decides; * stands for any one name.
 */
about: string[]
blocks: Block[]
}
/**
 * Block is a paragraph, or what stands among paragraphs.
 */
export interface Block {
/**
 * Key tells it from its neighbours, whatever is added or taken away; empty where its place does.
 */
key?: string
/**
 * List names a list of blocks; it is a paragraph otherwise.
 */
list?: string
words?: Word[]
/**
 * Widget is drawn instead of words, with the blocks in it.
 */
widget?: string
/**
 * Of is what the widget is about.
 */
of?: string
blocks?: Block[]
aside?: SetAside[]
face?: Place
/**
 * About is the path of what is found that stands here instead of with its stage.
 */
about?: string
}
/**
 * Word is a part of a sentence: one of these.
 */
export interface Word {
/**
 * Text as it stands.
 */
text?: string
field?: Field
choice?: Choice
press?: Press
/**
 * Shows is the path of a length of the settled plan that is shown and not changed here.
 */
shows?: string
/**
 * Widget is drawn in the sentence: what waits for a reckoning, or a picture. Of is what it is about.
 */
widget?: string
of?: string
}
/**
 * Field is a value that is typed.
 */
export interface Field {
/**
 * Path of the value in the plan, and what it is for those who do not see the sentence.
 */
path: string
label: string
/**
 * Reads is length, count, percent or text.
 */
reads: string
/**
 * Shown stands in the sentence where nobody decided the value; the settled one when absent.
 */
shown?: string
/**
 * For is the typed text that Shown stands for; absent where it stands for a value that nobody decided.
 */
for?: string
/**
 * Told names what a reckoning tells of the value that nobody decided.
 */
told?: string
/**
 * Also are the paths of values that are the same.
 */
also?: string[]
/**
 * Follows tells that something has to follow a change of the value, which is asked for.
 */
follows?: boolean
}
/**
 * Choice is one of some words.
 */
export interface Choice {
/**
 * ID is what it is asked for by, and the path of what it decides.
 */
id: string
label: string
now: string
options: Option[]
/**
 * Sets tells that the word itself stands at the path, and nothing else changes with it; the rest is asked for.
 */
sets?: boolean
/**
 * Also are further paths that it decides.
 */
also?: string[]
}
/**
 * Option is one word of a choice.
 */
export interface Option {
key: string
says: string
/**
 * Shown stands in the sentence, where that is shorter.
 */
shown?: string
}
/**
 * Press is something to be done.
 */
export interface Press {
id: string
says: string
/**
 * Label is what it does for those who do not see the sentence; what it says when absent.
 */
label?: string
}
/**
 * SetAside is a decision of another kind that is kept aside.
 */
export interface SetAside {
/**
 * Says what it is, and Of what it is a kind of.
 */
says: string
of: string
/**
 * Choice and Key bring it back; pressed by Forget it is gone.
 */
choice: string
key: string
forget: string
}
export interface Place {
/**
 * Config is the name under which the plan decides the piece, Title what it is called, The the same in a sentence.
 */
config: string
title: string
the: string
/**
 * Base is where the face of the piece stands: its own, or the one all pieces share. Inner is the way to the
 * face within that, through the parts of stacks.
 */
base: string
inner: string
}
export interface LastCut {
revision: number
reckoning: Reckoning
}
/**
 * ShelfItem is a plan as it stands on the shelf.
 */
export interface ShelfItem {
id: string
title: string
changed: string
/**
 * Stage names where the work stands.
 */
stage: string
/**
 * Next is the next step; empty when all is done.
 */
next: string
/**
 * Done of Steps are ticked off.
 */
done: number
steps: number
/**
 * Size as finished, and the pieces to draw; empty for a plan that cannot be cut.
 */
size: string
pieces: Piece[]
swatches: {
[k: string]: Swatch
}
findings: Finding[]
finished: boolean
/**
 * Coming marks what is shown as it was: how it is now is being worked out.
 */
coming?: boolean
}
/**
 * Swatch says how a cloth is drawn.
 */
export interface Swatch {
motif?: ("plain" | "stripe" | "dot" | "check" | "leaf")
/**
 * Ground colour, #rrggbb.
 */
ground?: string
/**
 * Ink colour of the motif, #rrggbb.
 */
ink?: string
/**
 * Photo is the number of a picture of the workshop it is drawn with instead; where that
 * is not there, the rest says how.
 */
photo?: number
}
/**
 * NewPlan asks for a plan to be begun.
 */
export interface NewPlan {
plan: {

}
}
/**
 * SavePlan asks for a version of a plan to be stored.
 */
export interface SavePlan {
/**
 * Base is the revision it was made on.
 */
base: number
/**
 * Save is its id, and Sent are those of earlier ones on Base whose answers did not come: one that is sent again
 * is answered as it was, and none of them is a change of another window.
 */
save?: string
sent?: string[]
plan: {

}
label: string
spoils?: Choice1
/**
 * Prefer is the side that is followed where another window changed the same since: mine or theirs; it is asked
 * about when absent.
 */
prefer?: string
}
/**
 * Choice is one of some words.
 */
export interface Choice1 {
/**
 * ID is what it is asked for by, and the path of what it decides.
 */
id: string
label: string
now: string
options: Option[]
/**
 * Sets tells that the word itself stands at the path, and nothing else changes with it; the rest is asked for.
 */
sets?: boolean
/**
 * Also are further paths that it decides.
 */
also?: string[]
}
/**
 * ConvertPlan asks for a plan to be written in another unit.
 */
export interface ConvertPlan {
plan: {

}
units: string
}
/**
 * JoinPlans asks for what two sides made of a plan in one.
 */
export interface JoinPlans {
base: {

}
mine: {

}
theirs: {

}
/**
 * Prefer is the side that is followed where both changed the same: mine or theirs; neither when absent.
 */
prefer?: string
}
/**
 * JoinedPlans is a plan with what both sides changed; or the paths of what both changed otherwise, and no plan.
 */
export interface JoinedPlans {
plan?: {

}
apart: string[]
}
/**
 * ChooseIn asks for a decision of the brief of a plan to be taken.
 */
export interface ChooseIn {
plan: {

}
/**
 * For is the plan in the workshop, by its id.
 */
for: string
/**
 * ID of the decision, and Key of what is chosen.
 */
id: string
key?: string
}
/**
 * Chosen is what makes the plan into the one with the decision taken.
 */
export interface Chosen {
patch: Change[]
}
/**
 * StartsView is what plans and decisions begin with in a unit.
 */
export interface StartsView {
/**
 * Weights of cloth, the usual one first.
 */
weights: WeightView[]
things: ThingView[]
/**
 * Patterns of quilting that go by a name and by nothing of a face, as a test square is quilted; no quilting first.
 */
patterns: QuiltingPattern[]
/**
 * Samples of every kind as they begin.
 */
samples: {

}[]
/**
 * Troubles that are met while working, with what helps.
 */
troubles: Trouble[]
/**
 * Least and Most a patch usually finishes.
 */
least: string
most: string
/**
 * Blocks of the library, the simplest first.
 */
blocks: BlockView[]
/**
 * Forms that shapes are cut from.
 */
forms: FormView[]
}
/**
 * WeightView is a weight of cloth, and how it is said.
 */
export interface WeightView {
key: string
name: string
}
/**
 * ThingView is something a plan can begin with.
 */
export interface ThingView {
key: string
name: string
filled: boolean
measures: Measure[]
/**
 * Usual are the sizes to type over, by the keys of the measures.
 */
usual: {
[k: string]: string
}
}
/**
 * Measure is one size that is asked for before a plan begins.
 */
export interface Measure {
/**
 * Key in the object.
 */
key: string
/**
 * Label names the size, and Says is the word that follows it in a sentence.
 */
label: string
says: string
}
/**
 * QuiltingPattern is a quilting pattern with a usual distance between its lines.
 */
export interface QuiltingPattern {
key: string
name: string
quilting: {

}
}
/**
 * Trouble is something that goes wrong, and what is done about it. The remedies are common
 * practice.
 */
export interface Trouble {
/**
 * Kind is its name in a plan, Title what the maker sees, Remedy what helps.
 */
kind: string
title: string
remedy: string
/**
 * Stages it can be met at.
 */
stages: string[]
}
/**
 * BlockView is a block with its patches drawn in a square of 1.
 */
export interface BlockView {
/**
 * Name and Title of one of the library; empty for one of one's own.
 */
name: string
title: string
text: string
letters: string[]
patches: PatchView[]
}
/**
 * PatchView is one patch of a block.
 */
export interface PatchView {
/**
 * Path to it through the divisions.
 */
path: string
letter: string
triangle: boolean
/**
 * Share of its columns or rows; 0 where it stands in none.
 */
share: number
line: [number, number][]
}
/**
 * FormView is a form that shapes are cut from.
 */
export interface FormView {
name: string
title: string
/**
 * Path is its outline as SVG path data, and Box the rectangle round it: left, top,
 * width, height.
 */
path: string
/**
 * @minItems 4
 * @maxItems 4
 */
box: [number, number, number, number]
}
/**
 * BeginPlan asks for the plan a thing begins with.
 */
export interface BeginPlan {
thing: string
/**
 * Sizes as typed, by the keys of the measures.
 */
sizes: {
[k: string]: string
}
fill?: string
title: string
}
/**
 * Closing is one closure as it would come out on a plan.
 */
export interface Closing {
key: string
name: string
/**
 * Chosen is the one the plan has.
 */
chosen: boolean
skill: string
wash: string
suits: string
back?: BackShown1
/**
 * Cuts of the back.
 */
cuts: Cut[]
/**
 * Steps from cutting the back to the end.
 */
steps: number
/**
 * Findings about the back.
 */
findings: Finding[]
}
export interface BackShown1 {
kind: string
overlap: L
/**
 * Share of the finished width, in percent.
 */
share: number
opening: L6
cloth: L7
notions: Notion[]
buttons: number
/**
 * Lies are its pieces as they lie, the lowest first, and Marks what is on them, in
 * the frame of the back.
 */
lies: BackLie[]
marks: BackMark[]
}
/**
 * FoldShown is a cover between flat and closed, in millimetres and radians: x right and y
 * down on every piece with its right side up, z to the inside.
 */
export interface FoldShown {
/**
 * Leaves are flat parts of pieces, each after the one it hangs on.
 */
leaves: FoldLeaf[]
/**
 * Pieces say what shows of each beside its face.
 */
pieces: FoldPiece[]
solids: FoldSolid[]
/**
 * Inside is what the closed cover leaves room for, an axis each.
 */
inside: FoldInside[]
/**
 * Size is the longest side of the box round it, closed or flat.
 */
size: number
/**
 * Fills tells that it has something soft inside.
 */
fills: boolean
}
/**
 * FoldLeaf is a part of a piece that stays flat, and how it hangs on another.
 */
export interface FoldLeaf {
piece: string
copy: number
/**
 * Parent it hangs on, by its number; -1 for the one that everything hangs on.
 */
parent: number
/**
 * Own is the axis on its own piece and On the same axis on its parent's: a point and a
 * direction. It turns by Turn between From and To of the folding, what lies right of the
 * axis going to the inside.
 * 
 * @minItems 3
 * @maxItems 3
 */
own: [number, number, number]
/**
 * @minItems 3
 * @maxItems 3
 */
on: [number, number, number]
turn: number
from: number
to: number
/**
 * Points on the piece, Lifts what filling moves each by, and Triangles over them.
 */
points: [number, number][]
lifts: [number, number, number][]
triangles: [number, number, number][]
}
/**
 * FoldPiece is what shows of a piece when it is folded, beside its face.
 */
export interface FoldPiece {
name: string
/**
 * Lining is the letter of the cloth on its inside, empty where its face is seen from
 * behind.
 */
lining: string
/**
 * Puff is how far its layers stand up between lines of quilting, in millimetres.
 */
puff: number
/**
 * Edgings are piping and binding along its edges.
 */
edgings: FoldEdging[]
}
/**
 * FoldEdging is a strip of another cloth along an edge.
 */
export interface FoldEdging {
what: string
cloth: string
/**
 * Path along the edge, and Width of what shows on the piece, in millimetres.
 */
path: Vertex[]
width: number
}
/**
 * FoldSolid is a box inside the closed cover: box, out for what sticks out of it, board or
 * pages.
 */
export interface FoldSolid {
kind: string
/**
 * @minItems 3
 * @maxItems 3
 */
min: [number, number, number]
/**
 * @minItems 3
 * @maxItems 3
 */
max: [number, number, number]
}
/**
 * FoldInside is the room of the closed cover along one axis.
 */
export interface FoldInside {
name: string
room: L13
sum: Term[]
text: string
/**
 * Fits tells that they agree.
 */
fits: boolean
}
/**
 * L is a length as it is shown.
 */
export interface L13 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * DoorView is how other devices are let in.
 */
export interface DoorView {
/**
 * Asked tells that the access key is asked for: others can reach this server.
 */
asked: boolean
/**
 * Fingerprint of the certificate this server made for itself; empty where it has none.
 */
fingerprint: string
}
/**
 * CodeView is a code that lets one browser in.
 */
export interface CodeView {
code: string
/**
 * Till is until when it is good, RFC 3339.
 */
till: string
}
/**
 * DevicesView is what stands by the workshop.
 */
export interface DevicesView {
devices: DeviceView[]
/**
 * Jobs that were sent, the newest first.
 */
jobs: JobView[]
/**
 * Last is the number of the newest reading.
 */
last: number
}
/**
 * DeviceView is a device as it stands.
 */
export interface DeviceView {
id: string
name: string
kind: string
connected: boolean
/**
 * Takes are the kinds of data a maker can read.
 */
takes: string[]
/**
 * Units, Faults and Pace are what can be set of a stand-in.
 */
units: string[]
faults?: Faults
pace?: Pace
}
/**
 * Faults are what can be set of a gauge.
 */
export interface Faults {
/**
 * Noise is how far a single value may be off either way, in millimetres or grams.
 */
noise: number
/**
 * Unit it sends: mm, cm, in, g or oz; none for no unit; cm-as-in for the number of
 * centimetres with the sign of inches.
 */
unit: string
/**
 * Battery in percent. Under 20 it reads a little long.
 */
battery: number
/**
 * Gone tells that it answers no more.
 */
gone: boolean
}
/**
 * Pace is what can be set of a maker.
 */
export interface Pace {
/**
 * Speed in millimetres or pages a second.
 */
speed: number
/**
 * JamAfter is the share of a job, in percent, after which it jams once; 0 for never.
 */
jam_after: number
/**
 * Gone tells that it answers no more.
 */
gone: boolean
}
/**
 * JobView is how far a job is.
 */
export interface JobView {
number: number
device: string
kind: string
name: string
done: number
of: number
unit: string
/**
 * Jam says what stopped it and what to do.
 */
jam?: string
/**
 * State is working, jammed, done, stopped or gone; Says it in a sentence.
 */
state: string
says: string
}
/**
 * SetDevice connects a device, or sets a stand-in.
 */
export interface SetDevice {
connected?: boolean
faults?: Faults
pace?: Pace
}
/**
 * ReadingView is what came from a gauge.
 */
export interface ReadingView {
number: number
device: string
name: string
kind: string
/**
 * Text as it would be typed, empty where it was refused; Says what there is to say of it.
 */
text: string
says: string
/**
 * Refused tells that it is not to be used, Gone that the gauge answers no more.
 */
refused?: boolean
gone?: boolean
}
/**
 * SendJob asks for something of a plan to be sent to a maker: a piece, template or lay as plt
 * or svg to a cutter, the pack or the labels to a printer.
 */
export interface SendJob {
device: string
sort: string
of?: string
as?: string
paper?: string
parts?: string
}
/**
 * StrokesView is what a cutter does for a job, in millimetres, up being up.
 */
export interface StrokesView {
strokes: StrokeView[]
/**
 * Box from its left and lowest to its right and highest.
 * 
 * @minItems 4
 * @maxItems 4
 */
box: [number, number, number, number]
}
/**
 * StrokeView is one line with the knife or pen down.
 */
export interface StrokeView {
/**
 * Cuts tells a cut from what is only drawn.
 */
cuts: boolean
/**
 * Path in SVG path data, y down, and how far it is to its beginning and to its end, in
 * millimetres of the job.
 */
path: string
from: number
to: number
}
/**
 * WeighCloth asks how long a piece of cloth is by its weight: all as typed.
 */
export interface WeighCloth {
/**
 * Side of a square of the cloth, and what it weighs, in grams.
 */
side: string
square: string
/**
 * Piece is what the piece weighs, in grams, and Width how wide it is.
 */
piece: string
width: string
}
/**
 * WeighedCloth is how long a piece is.
 */
export interface WeighedCloth {
/**
 * Text as it would be typed, and Says the sum.
 */
text: string
says: string
}
/**
 * PatternView is a pattern beside the pieces of a plan.
 */
export interface PatternView {
pieces: PatternPiece[]
/**
 * Omitted is what could not be read, each kind with how many.
 */
omitted: string[]
}
/**
 * PatternPiece is a piece of a plan beside that of a pattern.
 */
export interface PatternPiece {
title: string
/**
 * Missing tells that the pattern has none of that name, Unknown that the plan has none.
 */
missing?: boolean
unknown?: boolean
/**
 * Off is what differs, each in a sentence.
 */
off: string[]
}
/**
 * FindLayouts asks for the grids that fill a piece.
 */
export interface FindLayouts {
plan: {

}
/**
 * Piece is the name under which the plan decides it.
 */
piece: string
/**
 * Least, Most, Ready and Sash as typed; empty for no wish.
 */
least?: string
most?: string
ready?: string
sash?: string
/**
 * Border: any, none or yes.
 */
border?: string
}
/**
 * LayoutView is a grid that fills a piece.
 */
export interface LayoutView {
columns: number
rows: number
patch: string
border: string
sash: string
reasons: string[]
cloth: number
/**
 * @minItems 2
 * @maxItems 2
 */
patch_size: [number, number]
sash_size: number
/**
 * @minItems 2
 * @maxItems 2
 */
border_size: [number, number]
/**
 * Face in the notation of plan files.
 */
face: {

}
}
/**
 * EditBlock asks for a block after a change; without one for the block as it is
 * written.
 */
export interface EditBlock {
text: string
/**
 * Change is divide, letter, join or share; empty for none.
 */
change?: string
/**
 * Path of the patch that is changed.
 */
path?: string
/**
 * Sign it is divided by, and into how many columns or rows.
 */
sign?: string
count?: number
/**
 * Letter it gets, or the new parts of a division get.
 */
letter?: string
}
/**
 * MoveFitting asks where a fitting stands when it is brought to a place.
 */
export interface MoveFitting {
plan: {

}
/**
 * X and Y of the corner of the first rectangle round it, in nanometres on its piece.
 */
x: number
y: number
/**
 * Across and Down are ruler steps further to the right and down.
 */
across: number
down: number
/**
 * Fitting is its index in the plan.
 */
fitting: number
}
/**
 * MovedFitting is a place in the notation of plan files.
 */
export interface MovedFitting {
at: {

}
}
/**
 * MoveShape asks where a shape stands when it is brought to a place.
 */
export interface MoveShape {
plan: {

}
/**
 * X and Y of the corner of the first rectangle round it, in nanometres on its piece.
 */
x: number
y: number
/**
 * Across and Down are ruler steps further to the right and down.
 */
across: number
down: number
/**
 * About is the shape's path in the plan.
 */
about: string
}
/**
 * ShapesView is what was read from a drawing.
 */
export interface ShapesView {
/**
 * Shapes in the notation of plan files, the lowest first; all are placed from
 * the largest.
 */
shapes: {

}[]
/**
 * Fills are their colours as #rrggbb; empty where none is named.
 */
fills: string[]
/**
 * Omitted is what was left out.
 */
omitted: string[]
width: L
height: L
}
/**
 * Back asks for a step through the history of a plan.
 */
export interface Back {
/**
 * Base is the revision it was made on.
 */
base: number
/**
 * Save is its id, and Sent are those of earlier ones on Base whose answers did not come: one that is sent again
 * is answered as it was, and none of them is a change of another window.
 */
save?: string
sent?: string[]
/**
 * Revision to be restored, and what becomes of what that spoils; it is asked about when
 * absent.
 */
revision?: number
spoils?: Choice
}
/**
 * HistoryEntry is one line of a plan's history.
 */
export interface HistoryEntry {
revision: number
label: string
made: string
}
/**
 * ClothView is a cloth in the cupboard.
 */
export interface ClothView {
id: number
revision: number
name: string
/**
 * Cloth is its description as saved.
 */
cloth: {

}
/**
 * Taken is the same as a plan takes it, without what there is of it.
 */
taken: {

}
/**
 * Kind: cloth, batting, interlining or web.
 */
kind: string
width: L14
usable: L
have?: L
/**
 * HaveText is the length as it is asked for in a shop.
 */
have_text: string
wanted: L15
short: L16
/**
 * Odd are the odd pieces, Kept what is kept for plans, Facts what else is known.
 */
odd: OddView[]
kept: KeptView[]
facts: string[]
plans: string[]
print: string
swatch: Swatch
}
/**
 * L is a length as it is shown.
 */
export interface L14 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L15 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L16 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * OddView is odd pieces alike; For is the plan they are kept for, empty for nobody's.
 */
export interface OddView {
width: L
length: L
count: number
for: string
}
/**
 * KeptView is a length that is kept for a plan.
 */
export interface KeptView {
plan: string
length: L
}
/**
 * SaveCloth asks for a cloth to be added or changed.
 */
export interface SaveCloth {
base?: number
cloth: {

}
}
/**
 * ClothFileView is what taking a table in would change, or has changed.
 */
export interface ClothFileView {
added: string[]
changed: ClothChange[]
/**
 * Same is how many cloths stay as they are.
 */
same: number
/**
 * Problems are what is wrong with the table; nothing of it is taken in then.
 */
problems: Fault[]
/**
 * Taken tells that it was taken in.
 */
taken: boolean
}
/**
 * ClothChange is a cloth with what changes of it.
 */
export interface ClothChange {
name: string
what: string[]
}
/**
 * Fault is what is wrong with one place of a table.
 */
export interface Fault {
/**
 * Row from 1, the header being the first; Column by its name, empty where it is the row.
 */
row: number
column?: string
text: string
}
/**
 * ShoppingView is what is bought for the plans chosen.
 */
export interface ShoppingView {
/**
 * Plans are all on the shelf that still take cloth, in its order.
 */
plans: ShoppingPlan[]
cloths: ShoppingCloth[]
/**
 * Things are what the plans chosen take beside cloth.
 */
things: ShoppingThing[]
/**
 * Passed says which units that are over in one plan another takes.
 */
passed: string[]
/**
 * Cost of what is bought, as far as prices are known; Unpriced names the rest.
 */
cost: string
unpriced: string[]
}
/**
 * ShoppingPlan is a plan that may be shopped for.
 */
export interface ShoppingPlan {
id: string
title: string
chosen: boolean
}
/**
 * ShoppingCloth is what the plans chosen take of a cloth.
 */
export interface ShoppingCloth {
name: string
need: L
have?: L17
left: L18
buy: L19
buy_text: string
cost: string
shares: ShoppingShare[]
/**
 * Instead is what could be changed so that less is bought.
 */
instead: string[]
}
/**
 * L is a length as it is shown.
 */
export interface L17 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L18 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * L is a length as it is shown.
 */
export interface L19 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * ShoppingShare is where one plan's cloth comes from.
 */
export interface ShoppingShare {
plan: string
need: L
/**
 * Odd is how many odd pieces are cut beside it.
 */
odd: number
/**
 * From is own, cupboard or shop.
 */
from: string
}
/**
 * ShoppingThing is what the plans chosen take of something beside cloth.
 */
export interface ShoppingThing {
what: string
notion: string
/**
 * Need, Have and Buy as they are asked for; Buy is empty where nothing is bought.
 */
need: string
have: string
buy: string
cost: string
plans: string[]
}
/**
 * NotionView is a thing in the cupboard that is not cloth.
 */
export interface NotionView {
id: number
revision: number
name: string
/**
 * Notion is its description as saved.
 */
notion: {

}
/**
 * Text says what it is for and how much there is.
 */
text: string
colour: string
}
/**
 * SaveNotion asks for a notion to be added or changed.
 */
export interface SaveNotion {
base?: number
notion: {

}
}
/**
 * UnitsView is units in the cupboard that are sewn already.
 */
export interface UnitsView {
id: number
revision: number
/**
 * Name is what they are called, and Says how large they are and what they are of.
 */
name: string
says: string
count: number
/**
 * Units is their description as saved.
 */
units: {

}
/**
 * Swatches are what their fabrics look like, of those the cupboard has.
 */
swatches: Swatch[]
}
/**
 * AddUnits puts units into the cupboard.
 */
export interface AddUnits {
units: {

}
}
/**
 * SaveUnits says how many there are of units in the cupboard.
 */
export interface SaveUnits {
base: number
count: number
}
/**
 * AskSearch asks for a shorter lay to be looked for: of the cloth of a plan by its
 * letter, or of several plans together by the cloth's name.
 */
export interface AskSearch {
plan?: string
letter?: string
plans?: string[]
cloth?: string
}
/**
 * SearchView is how far a search is.
 */
export interface SearchView {
id: string
/**
 * Round of Rounds, and how many strips were tried so far.
 */
round: number
rounds: number
tried: number
before: L20
lay: Lay
over: number
/**
 * Way leads to it; empty where nothing shorter was found.
 */
way: number[]
/**
 * Done tells that it ended, Stopped that it was told to.
 */
done: boolean
stopped: boolean
}
/**
 * L is a length as it is shown.
 */
export interface L20 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * AskBecome asks what cloth that is there can become: fronts for the cushion of a plan, or for one of a size.
 */
export interface AskBecome {
plan?: string
/**
 * Width and Height of the pad as typed; Largest tries all that are sold instead.
 */
width?: string
height?: string
largest?: boolean
/**
 * Cloths are names in the cupboard, Pieces what is not in it.
 */
cloths: string[]
pieces: BecomePieces[]
}
/**
 * BecomePieces are pieces of a size of several cloths, each with so many: a bundle.
 */
export interface BecomePieces {
fabrics: number
count: number
width: string
length: string
}
/**
 * BecomeView is how far it is; Fronts come with the last of them.
 */
export interface BecomeView {
tried: number
of: number
found: number
fronts?: BecomeFront[]
done?: boolean
}
/**
 * BecomeFront is a front the cloth can become.
 */
export interface BecomeFront {
title: string
why: string[]
width: L21
height: L
/**
 * Waste in percent of what is cut into.
 */
waste: number
/**
 * Lost is how that comes about.
 */
lost: string
cuts: number
fabrics: number
/**
 * Left says what is left of each cloth.
 */
left: string[]
/**
 * Plan with it, in the notation of plan files, and its front as it is drawn.
 */
plan: {

}
piece: Piece
}
/**
 * L is a length as it is shown.
 */
export interface L21 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * SoldView is how a cloth of a plan could be bought.
 */
export interface SoldView {
/**
 * Says is the width, or the quarters; Takes what the plan takes of it as it is sold.
 */
says: string
takes: string
}
/**
 * TogetherView is several plans on one lay of a cloth.
 */
export interface TogetherView {
cloth: string
swatch: Swatch
/**
 * Plans are those that take of the cloth, Pieces what is cut, by the cuts of the lay.
 */
plans: TogetherPlan[]
pieces: TogetherPiece[]
lay: Lay
need: L22
apart: L
saves: L
}
/**
 * TogetherPlan is a plan that takes of the cloth.
 */
export interface TogetherPlan {
id: string
title: string
chosen: boolean
}
/**
 * TogetherPiece is what is cut for one of the plans.
 */
export interface TogetherPiece {
plan: string
title: string
width: L
height: L
count: number
}
/**
 * L is a length as it is shown.
 */
export interface L22 {
/**
 * NM is the exact length in nanometres.
 */
nm: number
/**
 * Text is the length in the plan's unit, marked with ≈ when it is rounded.
 */
text: string
/**
 * Exact is the length in keyboard notation, nothing rounded.
 */
exact: string
}
/**
 * PracticeView is an exercise, and how far the maker is with each kind.
 */
export interface PracticeView {
kind: string
number: number
plan: string
question: string
kinds: PracticeKind[]
/**
 * Mark is where the tape is read, in nanometres, and Step from line to line of it; 0
 * where no tape is shown.
 */
mark: number
step: number
}
/**
 * PracticeKind is a kind of exercise with how many were tried and how many were right.
 */
export interface PracticeKind {
kind: string
title: string
tried: number
right: number
run: number
}
/**
 * AnswerPractice is an answer to an exercise.
 */
export interface AnswerPractice {
kind: string
number: number
plan?: string
answer: string
}
/**
 * PracticeResult says whether an answer is right, and how the right one comes about.
 */
export interface PracticeResult {
right: boolean
answer: L
sum: Term[]
/**
 * Slip says what was forgotten, where that is known.
 */
slip: string
}
/**
 * ScheduleView is when what is done of a plan.
 */
export interface ScheduleView {
/**
 * From is the first day that is looked at, Minutes there are on each day of the week
 * from Monday on, and Total what is left to be done.
 */
from: string
minutes: number[]
total: number
days: ScheduleDay[]
/**
 * Ends is the day all is done; empty where there is no time for it within a year. Late
 * is how many days that is after it is due, below 0 before it.
 */
ends: string
due: string
late: number
/**
 * Slips are what follows when a day is lost.
 */
slips: ScheduleSlip[]
}
/**
 * ScheduleDay is a day with what is done then.
 */
export interface ScheduleDay {
day: string
free: number
sittings: ScheduleSitting[]
}
/**
 * ScheduleSitting is what is done of a step.
 */
export interface ScheduleSitting {
step: string
title: string
minutes: number
begins: boolean
ends: boolean
}
/**
 * ScheduleSlip is a day with how much later all is done when it is lost; below 0 where
 * there is no time for it then.
 */
export interface ScheduleSlip {
day: string
later: number
}
/**
 * PhotoView is a picture that is kept.
 */
export interface PhotoView {
id: number
width: number
height: number
/**
 * Average is its colour on the whole, #rrggbb.
 */
average: string
}
/**
 * MovedCloth is what became of a cloth in the cupboard.
 */
export interface MovedCloth {
id: number
revision: number
/**
 * Before is its description as it was, to be taken back to.
 */
before: {

}
/**
 * Text says what was done.
 */
text: string
}
/**
 * SampleView is a sample with what it tells.
 */
export interface SampleView {
id: string
revision: number
/**
 * Sample is what was written of it.
 */
sample: {

}
/**
 * Settled is the same with every length as it is shown.
 */
settled: {

}
instructions: string[]
tells: Told[]
}
/**
 * Told is one figure a sample gives, in words.
 */
export interface Told {
name: string
text: string
/**
 * Spread over repeats, in the same unit; empty with one.
 */
spread?: string
}
/**
 * SampleUses are, by the id of each sample, the plans it is used in or could be.
 */
export interface SampleUses {
[k: string]: SampleUse[]
}
/**
 * SampleUse is a plan a sample is used in, or could be, and what it would change.
 */
export interface SampleUse {
plan: string
title: string
/**
 * Path is where the plan would name it, and Used tells that it does.
 */
path: string
used: boolean
/**
 * Takes is what washing takes, in percent; of a washed sample.
 */
takes?: number
/**
 * Other says in what the plan's stack is another one; empty where it is not.
 */
other: string
/**
 * Changes are the cuts that change, before and after.
 */
changes: CutChange[]
}
/**
 * CutChange is a cut as it is and as it would be.
 */
export interface CutChange {
title: string
from: string
to: string
}
/**
 * SaveSample asks for a sample to be kept.
 */
export interface SaveSample {
base?: number
sample: {

}
}
/**
 * HabitsView is the habits new plans begin with, and the schools to choose from.
 */
export interface HabitsView {
revision: number
units: string
habits: {

}
/**
 * Chosen is the school each habit follows, by its key in Help.
 */
chosen: {
[k: string]: string
}
help: HabitHelp[]
/**
 * Decided is what is not left to a habit, each with the reason.
 */
decided: School[]
}
/**
 * HabitHelp is one habit with its schools, for the page that explains them.
 */
export interface HabitHelp {
key: string
name: string
about: string
/**
 * InBrief tells that a cover says it in its brief, where the habit is only what it
 * begins with.
 */
in_brief?: boolean
schools: School[]
}
/**
 * School is one way of doing a thing, with the reason its makers give.
 */
export interface School {
value: string
name: string
reason: string
}
/**
 * SaveHabits asks for habits to be stored.
 */
export interface SaveHabits {
base: number
units: string
habits: {

}
}
/**
 * FinishPlan asks for a cover to be written into the log.
 */
export interface FinishPlan {
base: number
minutes: number
notes: string
next: string
/**
 * Photos are the numbers of its pictures.
 */
photos?: number[]
/**
 * Save is its id: sent again it is the same entry.
 */
save?: string
}
/**
 * OfferView is a sample that finished covers have sewn unasked.
 */
export interface OfferView {
sample: {

}
title: string
/**
 * Covers it is of, by their titles, and what they tell together.
 */
covers: string[]
tells: Told[]
}
/**
 * BroughtIn is how much of a whole workshop was brought in.
 */
export interface BroughtIn {
plans: number
cloths: number
notions: number
samples: number
covers: number
photos: number
}
/**
 * FiguresView is what the finished covers tell.
 */
export interface FiguresView {
figures: Figures
/**
 * Seams is the mean error of a seam in words, such as 0.12 mm too wide.
 */
seams: string
}
/**
 * Figures are what finished covers tell of the way they are made.
 */
export interface Figures {
/**
 * Covers is how many were finished, Timed how many steps were timed, and Pace how long
 * those took for each minute that is usual; 0 where fewer than leastTimed were.
 */
covers: number
timed: number
pace: number
/**
 * Stages are the same by the stage of the work, those with enough steps.
 */
stages: StagePace[]
/**
 * Seams is the mean error of a seam in nanometres, from Measured gates; more than 0
 * takes more than planned.
 */
seams: number
measured: number
/**
 * Troubles are how often what went wrong, the most frequent first.
 */
troubles: TroubleCount[]
}
/**
 * StagePace is the pace of a stage.
 */
export interface StagePace {
stage: string
timed: number
pace: number
}
/**
 * TroubleCount is how often something went wrong.
 */
export interface TroubleCount {
kind: string
count: number
}
/**
 * LogView is a finished cover.
 */
export interface LogView {
id: number
revision: number
plan_id: string
title: string
finished: string
minutes: number
notes: string
next: string
/**
 * Photos are the numbers of its pictures, Troubles what went wrong.
 */
photos: number[]
troubles?: Mishap[]
/**
 * Plan is the plan file as it was finished.
 */
plan: {

}
gates: GateView[]
pieces: Piece[]
swatches: {
[k: string]: Swatch
}
/**
 * Usual is how many minutes it was reckoned to take with all its covers. PlannedCost is
 * what it costs with them, Cost with the time it took; empty where nobody said how
 * long, or where it cannot be cut as it stands.
 */
usual: number
planned_cost: string
cost: string
}
/**
 * Mishap is something that went wrong at a step.
 */
export interface Mishap {
step: string
/**
 * Kind is one of those the app knows a remedy for, or other.
 */
kind: string
note?: string
}
/**
 * GateView is what was planned and what was measured at a gate.
 */
export interface GateView {
title: string
planned: Size
measured?: Size
off?: Size4
}
/**
 * Size is a width across and a height up.
 */
export interface Size4 {
width: L
height: L
}
/**
 * Refusal is an error answer, problem+json as in RFC 9457.
 */
export interface Refusal {
type: string
title: string
status: number
/**
 * Detail says what to do instead.
 */
detail: string
/**
 * Errors name what cannot be read, each with its path.
 */
errors?: Problem[]
current?: PlanView1
apart?: Sides
/**
 * Spoils is what a change would spoil of what is done already.
 */
spoils?: Spoil[]
}
/**
 * Problem is one thing in a file that cannot be read.
 */
export interface Problem {
/**
 * Path into the file, such as /cover/seam; empty for the file as a whole.
 */
path: string
/**
 * Position of the offending character in the value, from 0; nil when the
 * whole value is meant.
 */
position?: number
/**
 * Text says what is wrong and what to type instead.
 */
text: string
}
export interface PlanView1 {
id: string
revision: number
/**
 * Plan is the plan file as it was saved.
 */
plan: {

}
reckoning: Reckoning
brief: Brief
last?: LastCut
can_undo: boolean
can_redo: boolean
changed: string
}
export interface Sides {
mine: {

}
theirs: {

}
}
/**
 * Spoil is something that is done and that a change spoils.
 */
export interface Spoil {
/**
 * Kind of thing: a cut, a step or a gate.
 */
kind: string
/**
 * Ref of it, as it is recorded.
 */
ref: string
why: string
title: string
/**
 * Text says what there is and what would be needed.
 */
text: string
/**
 * Again tells that a cut is cut anew where the change is kept; otherwise it is trimmed to
 * Width and Height.
 */
again?: boolean
width: L
height: L
}
