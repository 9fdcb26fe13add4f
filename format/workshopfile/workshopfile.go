// Package workshopfile writes and reads a whole workshop as one file: a zip with what is
// kept in workshop.json and the pictures beside it. Reading takes all of it or nothing.
package workshopfile

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"maps"
	"slices"
	"strconv"
	"strings"
)

// Format is the name and version of the file.
const Format = "umschlag/workshop/2"

// FormatOne is the format before: where its plans name no piecing seam, fronts are sewn with the seam of the cover. It
// is read for ever.
const FormatOne = "umschlag/workshop/1"

// The bounds of a file that is read.
const (
	MostBytes   = 256 << 20
	mostFiles   = 5_000
	mostPicture = 16 << 20
	mostText    = 64 << 20
	// mostUnpacked is what all files of it make together.
	mostUnpacked = MostBytes
)

// Workshop is all that is kept. Documents are as they are stored.
type Workshop struct {
	Format  string          `json:"format"`
	Habits  json.RawMessage `json:"habits"`
	Plans   []Plan          `json:"plans"`
	Cloths  []Named         `json:"cloths"`
	Notions []Named         `json:"notions"`
	// Units are those that are sewn already; each by a name that tells it from all others.
	Units    []Named    `json:"units,omitempty"`
	Samples  []Sample   `json:"samples"`
	Log      []Entry    `json:"log"`
	Practice []Practice `json:"practice"`
	// Photos by their numbers; beside the text, in the file.
	Photos map[int]Photo `json:"-"`
}

// Plan is a plan at its newest revision: what it was before does not go with it.
type Plan struct {
	ID      string          `json:"id"`
	Made    string          `json:"made"`
	Changed string          `json:"changed"`
	Away    bool            `json:"away,omitempty"`
	Doc     json.RawMessage `json:"plan"`
}

// Named is a thing in the cupboard.
type Named struct {
	ID  int             `json:"id"`
	Doc json.RawMessage `json:"thing"`
	// Name it is listed under.
	Name string `json:"name"`
}

// Sample is a sewn sample.
type Sample struct {
	ID   string          `json:"id"`
	Away bool            `json:"away,omitempty"`
	Doc  json.RawMessage `json:"sample"`
}

// Entry is a finished cover.
type Entry struct {
	Plan     string          `json:"plan"`
	Title    string          `json:"title"`
	Finished string          `json:"finished"`
	Minutes  int             `json:"minutes"`
	Notes    string          `json:"notes"`
	Next     string          `json:"next"`
	Photos   []int           `json:"photos"`
	Doc      json.RawMessage `json:"as_finished"`
}

// Practice is how far the maker is with a kind of exercise.
type Practice struct {
	Kind  string `json:"kind"`
	Tried int    `json:"tried"`
	Hit   int    `json:"hit"`
	Run   int    `json:"run"`
}

// Photo is a picture as JPEG.
type Photo struct {
	JPEG          []byte
	Width, Height int
}

// Write makes the file; the same workshop gives the same bytes.
func Write(w Workshop) ([]byte, error) {
	w.Format = Format
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	text, err := json.MarshalIndent(w, "", " ")
	if err != nil {
		return nil, fmt.Errorf("write the workshop: %w", err)
	}
	if err := put(z, "workshop.json", text); err != nil {
		return nil, err
	}
	for _, n := range w.Pictures() {
		if err := put(z, picture(n), w.Photos[n].JPEG); err != nil {
			return nil, err
		}
	}
	if err := z.Close(); err != nil {
		return nil, fmt.Errorf("write the workshop: %w", err)
	}
	return out.Bytes(), nil
}

func put(z *zip.Writer, name string, data []byte) error {
	f, err := z.Create(name)
	if err == nil {
		_, err = f.Write(data)
	}
	if err != nil {
		return fmt.Errorf("write %s: %w", name, err)
	}
	return nil
}

func picture(n int) string { return fmt.Sprintf("photos/%d.jpg", n) }

// Pictures are the numbers of the photos, in order.
func (w Workshop) Pictures() []int {
	return slices.Sorted(maps.Keys(w.Photos))
}

// Read takes a file apart. What is wrong with it is said with the name of what it is about;
// the documents in it are not looked at yet.
func Read(data []byte) (Workshop, error) {
	var w Workshop
	if len(data) > MostBytes {
		return w, fmt.Errorf("the file has %d MB; up to %d are read", len(data)>>20, MostBytes>>20)
	}
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return w, errors.New("the file is no workshop: it is not a zip, or its end is missing")
	}
	tooMuch := fmt.Errorf("what is in the file makes more than %d MB; it is no workshop that this app wrote", mostUnpacked>>20)
	var says uint64
	for _, f := range z.File {
		says += min(f.UncompressedSize64, 1<<40)
	}
	if says > mostUnpacked {
		return w, tooMuch
	}
	if len(z.File) > mostFiles {
		return w, fmt.Errorf("the file holds %d files; up to %d are read", len(z.File), mostFiles)
	}
	w.Photos = map[int]Photo{}
	seen, left := false, int64(mostUnpacked)
	for _, f := range z.File {
		if left <= 0 {
			return w, tooMuch
		}
		number, isPicture := strings.CutPrefix(f.Name, "photos/")
		switch {
		case f.Name == "workshop.json":
			text, err := content(f, min(mostText, left))
			if err != nil {
				return w, err
			}
			left -= int64(len(text))
			if err := w.decode(text); err != nil {
				return w, err
			}
			seen = true
		case isPicture && strings.HasSuffix(number, ".jpg"):
			n, err := strconv.Atoi(strings.TrimSuffix(number, ".jpg"))
			if err != nil || n < 1 {
				return w, fmt.Errorf("%s is no number of a photo", f.Name)
			}
			jpeg, err := content(f, min(mostPicture, left))
			if err != nil {
				return w, err
			}
			left -= int64(len(jpeg))
			w.Photos[n] = Photo{JPEG: jpeg}
		case strings.HasSuffix(f.Name, "/"):
		default:
			return w, fmt.Errorf("%s does not belong to a workshop", f.Name)
		}
	}
	if !seen {
		return w, errors.New("the file is no workshop: workshop.json is missing in it")
	}
	return w, w.judge()
}

func (w *Workshop) decode(text []byte) error {
	d := json.NewDecoder(bytes.NewReader(text))
	d.DisallowUnknownFields()
	if err := d.Decode(w); err != nil {
		return fmt.Errorf("workshop.json cannot be read: %w", err)
	}
	if w.Format != Format && w.Format != FormatOne {
		return fmt.Errorf("the workshop is of the format %q; this app reads %s and %s", w.Format, FormatOne, Format)
	}
	return nil
}

// content is a file of the zip, of no more than so many bytes whatever it says of itself.
func content(f *zip.File, most int64) ([]byte, error) {
	r, err := f.Open()
	if err != nil {
		return nil, fmt.Errorf("%s cannot be read: %w", f.Name, err)
	}
	defer func() { _ = r.Close() }()
	data, err := io.ReadAll(io.LimitReader(r, most+1))
	if err != nil {
		return nil, fmt.Errorf("%s cannot be read: %w", f.Name, err)
	}
	if int64(len(data)) > most {
		return nil, fmt.Errorf("%s is larger than %d MB", f.Name, most>>20)
	}
	return data, nil
}
