// Package practice knows short exercises for what goes wrong most: sizes that are cut from
// finished ones, overlaps, the way round a corner, a back from a measured front, and eighths
// on the tape. The same number asks the same question.
package practice

import (
	"fmt"
	"math/rand/v2"

	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/sum"
)

// Kind of exercise.
type Kind string

// The kinds, in the order they are met.
const (
	Cut      Kind = "cut"
	Overlap  Kind = "overlap"
	Corner   Kind = "corner"
	Measured Kind = "measured"
	Tape     Kind = "tape"
)

// Kinds are all of them, each with its title.
func Kinds() []struct {
	Kind  Kind
	Title string
} {
	return []struct {
		Kind  Kind
		Title string
	}{
		{Cut, "Cut from finished"}, {Overlap, "How far a back overlaps"}, {Corner, "The way round a corner"},
		{Measured, "The back from the measured front"}, {Tape, "Eighths on the tape"},
	}
}

// Exercise is a question with its answer.
type Exercise struct {
	Kind     Kind
	Question string
	// Answer is the size asked for, with its sum.
	Answer sum.Sum
	// Within is how far off an answer is taken as right: half a ruler step where the exact
	// size is not on it.
	Within length.Length
	// Mark is where the tape is read, for exercises that show one; 0 for others.
	Mark length.Length
}

// Of is the exercise of a kind with a number.
func Of(kind Kind, number int, style length.Style) (Exercise, bool) {
	r := rand.New(rand.NewPCG(uint64(number), 31))
	e := Exercise{Kind: kind}
	g := grid(style.Unit)
	switch kind {
	case Cut:
		finished, seam := g.between(r, 12, 120), g.seam(r)
		e.Question = fmt.Sprintf("A patch finishes %s. With seams of %s, how wide is it cut?", style.Text(finished),
			style.Text(seam))
		e.Answer = sum.Of(sum.Part, "finished", finished).Plus(sum.Seam, "seam, left", seam).
			Plus(sum.Seam, "seam, right", seam)
	case Overlap:
		front, hem := g.between(r, 96, 160), g.seam(r)
		piece := (front / 2).Ceil(g.step) + g.between(r, 16, 36)
		e.Question = fmt.Sprintf("Two back pieces are cut %s wide; each has a hem turned twice by %s. The front is cut %s wide. How far do they overlap?", style.Text(piece), style.Text(hem), style.Text(front))
		e.Answer = sum.Of(sum.Part, "back piece", piece).Plus(sum.Part, "back piece", piece).
			Plus(sum.Hem, "hems, four folds", -hem.Times(4)).Plus(sum.Part, "front as cut", -front)
	case Corner:
		side, radius := g.between(r, 80, 160), g.between(r, 8, 24)
		e.Question = fmt.Sprintf("A panel is %s square on its seam line; two of its corners are rounded, with a radius of %s. How long is the way up one side, over the top and down the other?", style.Text(side), style.Text(radius))
		square := sum.Of(sum.Part, "up", side).Plus(sum.Part, "over", side).Plus(sum.Part, "down", side)
		e.Answer = square.Plus(sum.Corner, "two corners, each shorter by (2 − π/2) × radius",
			-2*outline.CornerShort(radius))
		e.Within = g.step / 2
	case Measured:
		planned := g.between(r, 96, 160)
		off := g.step.Times(1 + r.IntN(6))
		measured, overlap, hem := planned-off, g.between(r, 24, 40), g.seam(r)
		e.Question = fmt.Sprintf("The front was planned %s wide and measures %s, raw edge to raw edge. Two back pieces overlap by %s; each has a hem turned twice by %s. How wide is each cut?", style.Text(planned), style.Text(measured), style.Text(overlap), style.Text(hem))
		e.Answer = sum.Of(sum.Measured, "half the front as measured", measured.Div(2)).
			Plus(sum.Overlap, "half the overlap", overlap.Div(2)).Plus(sum.Hem, "hem, first fold", hem).
			Plus(sum.Hem, "hem, second fold", hem)
		e.Within = g.step / 2
	case Tape:
		e.Mark = g.between(r, 1, 64)
		e.Question = "What does the tape say at the mark?"
		e.Answer = sum.Of(sum.Measured, "the tape", e.Mark)
	default:
		return e, false
	}
	return e, true
}

// Right tells whether an answer is right.
func (e Exercise) Right(answer length.Length) bool {
	return (answer - e.Answer.Total()).Abs() <= e.Within
}

// Slip says what an answer that is wrong by just that much has forgotten; empty where
// nothing is known.
func (e Exercise) Slip(answer length.Length) string {
	off := answer - e.Answer.Total()
	for _, t := range e.Answer {
		if t.Kind != sum.Part && (off+t.Amount).Abs() <= e.Within {
			return "That is without: " + t.Name + "."
		}
	}
	var seams length.Length
	for _, t := range e.Answer {
		if t.Kind == sum.Seam || t.Kind == sum.Hem {
			seams += t.Amount
		}
	}
	if seams != 0 && (off+seams).Abs() <= e.Within {
		return "That is without any seams or hems."
	}
	return ""
}

// measure is the ruler of a unit.
type measure struct{ step length.Length }

func grid(unit length.Unit) measure {
	if unit == length.Inches {
		return measure{length.Inch / 8}
	}
	return measure{2 * length.Millimetre}
}

// between is a length of so many steps.
func (m measure) between(r *rand.Rand, lo, hi int) length.Length {
	return m.step.Times(lo + r.IntN(hi-lo+1))
}

func (m measure) seam(r *rand.Rand) length.Length { return m.step.Times(2 + r.IntN(3)) }

// Own is an exercise on a size of one's own plan: its terms are told, and what they come
// to is asked. ok is false for a size of one term.
func Own(plan, title string, size sum.Sum, style length.Style) (e Exercise, ok bool) {
	if len(size) < 2 {
		return e, false
	}
	e = Exercise{Kind: Cut, Answer: size, Within: grid(style.Unit).step / 4}
	e.Question = fmt.Sprintf("%s, of %s: ", title, plan)
	for i, t := range size {
		switch {
		case i > 0 && t.Amount < 0:
			e.Question += ", less "
		case i > 0:
			e.Question += ", and "
		}
		e.Question += fmt.Sprintf("%s %s", t.Name, style.Text(t.Amount.Abs()))
	}
	e.Question += ". What is the ruler set to?"
	return e, true
}
