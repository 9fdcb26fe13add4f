// Command lays reads needs as JSON from standard input and writes their lays: what other
// programs are compared with. Lengths are whole sixteenths of an inch.
package main

import (
	"encoding/json"
	"fmt"
	"io"
	"os"
	"time"

	"umschlag/core/lay"
	"umschlag/core/length"
)

// Need is pieces for one cloth.
type Need struct {
	Usable int    `json:"usable"`
	Items  []Item `json:"items"`
}

// Item is alike pieces.
type Item struct {
	Width  int  `json:"w"`
	Height int  `json:"h"`
	Count  int  `json:"count"`
	Turn   bool `json:"turn"`
	// Late is at which measurement they are cut, 0 at once.
	Late int `json:"late"`
}

// Laid is how a need was laid.
type Laid struct {
	// Length with straight cuts all the way through, after a search of two rounds, and
	// placed freely; Bound is what no lay is shorter than.
	Length   float64 `json:"length"`
	Searched float64 `json:"searched"`
	Free     float64 `json:"free"`
	Bound    float64 `json:"bound"`
	// Millis is what Length took.
	Millis float64 `json:"millis"`
}

const unit = length.Inch / 16

func main() {
	if err := run(os.Stdin, os.Stdout); err != nil {
		fmt.Fprintln(os.Stderr, "lays:", err)
		os.Exit(1)
	}
}

func run(in io.Reader, out io.Writer) error {
	var needs []Need
	if err := json.NewDecoder(in).Decode(&needs); err != nil {
		return fmt.Errorf("read the needs: %w", err)
	}
	laid := make([]Laid, len(needs))
	for i, n := range needs {
		items := make([]lay.Item, len(n.Items))
		for j, it := range n.Items {
			items[j] = lay.Item{Cut: j, Width: unit.Times(it.Width), Height: unit.Times(it.Height), Count: it.Count,
				MayTurn: it.Turn, Late: it.Late}
		}
		on := lay.Cloth{Usable: unit.Times(n.Usable)}
		began := time.Now()
		l, _ := lay.Of(items, on)
		took := time.Since(began)
		free, _ := lay.Freely(items, on)
		searched := lay.Search(items, on, func(f lay.Found) bool { return f.Round < 2 })
		in := func(l length.Length) float64 { return l.Float() / unit.Float() }
		laid[i] = Laid{Length: in(l.Length), Searched: in(searched.Lay.Length), Free: in(free.Length),
			Bound: in(l.Bound), Millis: float64(took.Microseconds()) / 1000}
	}
	return json.NewEncoder(out).Encode(laid)
}
