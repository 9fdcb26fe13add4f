package workshopfile_test

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/format/workshopfile"
	_ "umschlag/seeded"
)

func zipped(t testing.TB, files map[string]string) []byte {
	t.Helper()
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for name, text := range files {
		f, err := z.Create(name)
		require.NoError(t, err)
		_, err = f.Write([]byte(text))
		require.NoError(t, err)
	}
	require.NoError(t, z.Close())
	return out.Bytes()
}

const noon = "2026-03-09T12:00:00.000000Z"

func TestAnyWorkshopGoesOutAndIn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		text := rapid.String()
		doc := rapid.Custom(func(t *rapid.T) json.RawMessage {
			data, err := json.Marshal(map[string]string{"title": text.Draw(t, "title")})
			require.NoError(t, err)
			return data
		})
		w := workshopfile.Workshop{Format: workshopfile.Format, Habits: doc.Draw(t, "habits"),
			Photos: map[int]workshopfile.Photo{}}
		for i := range rapid.IntRange(0, 4).Draw(t, "n") {
			w.Plans = append(w.Plans,
				workshopfile.Plan{ID: rapid.StringMatching(`[a-z0-9][a-z0-9-]{0,79}`).Draw(t, "id"), Made: noon,
					Changed: noon, Doc: doc.Draw(t, "plan"), Away: rapid.Bool().Draw(t, "away")})
			w.Cloths = append(w.Cloths,
				workshopfile.Named{ID: i + 1, Name: "n" + text.Draw(t, "name"), Doc: doc.Draw(t, "cloth")})
			w.Photos[i+1] = workshopfile.Photo{JPEG: rapid.SliceOf(rapid.Byte()).Draw(t, "jpeg")}
		}
		data, err := workshopfile.Write(w)
		require.NoError(t, err)
		got, err := workshopfile.Read(data)
		require.NoError(t, err)
		again, err := workshopfile.Write(got)
		require.NoError(t, err)
		assert.Equal(t, data, again)
		assert.Len(t, got.Photos, len(w.Photos))
		for n, p := range w.Photos {
			assert.Equal(t, len(p.JPEG), len(got.Photos[n].JPEG))
		}
	})
}

func TestWhatIsNoWorkshopIsSaid(t *testing.T) {
	for name, c := range map[string]struct {
		data []byte
		says string
	}{
		"text":          {[]byte("hello"), "not a zip"},
		"nothing in it": {zipped(t, nil), "workshop.json is missing"},
		"another version": {zipped(t, map[string]string{"workshop.json": `{"format":"umschlag/workshop/9"}`}),
			"reads umschlag/workshop/1"},
		"unknown key": {zipped(t,
			map[string]string{"workshop.json": `{"format":"umschlag/workshop/1","secrets":1}`}), "secrets"},
		"no JSON":    {zipped(t, map[string]string{"workshop.json": `{`}), "cannot be read"},
		"a stranger": {zipped(t, map[string]string{"run.sh": "x"}), "run.sh does not belong"},
		"no number":  {zipped(t, map[string]string{"photos/a.jpg": "x"}), "no number of a photo"},
		"a picture too big": {zipped(t, map[string]string{"photos/1.jpg": string(make([]byte, 17<<20))}),
			"larger than 16 MB"},
	} {
		_, err := workshopfile.Read(c.data)
		assert.ErrorContains(t, err, c.says, name)
	}
}

// What stands beside the documents is judged as they are: nothing of a workshop with a fault is taken.
func TestIdsMomentsAndFiguresAreJudged(t *testing.T) {
	good := func() workshopfile.Workshop {
		doc := json.RawMessage("{}")
		return workshopfile.Workshop{Habits: doc,
			Plans:    []workshopfile.Plan{{ID: "van-cushion-2", Made: noon, Changed: noon, Doc: doc}},
			Cloths:   []workshopfile.Named{{ID: 1, Name: "moss", Doc: doc}},
			Samples:  []workshopfile.Sample{{ID: "three-strips", Doc: doc}},
			Log:      []workshopfile.Entry{{Plan: "van-cushion-2", Finished: noon, Minutes: 9, Doc: doc}},
			Practice: []workshopfile.Practice{{Kind: "eighths", Tried: 3, Hit: 2, Run: 1}},
			Photos:   map[int]workshopfile.Photo{1: {JPEG: []byte("x")}}}
	}
	for says, change := range map[string]func(w *workshopfile.Workshop){
		"":                                    func(*workshopfile.Workshop) {},
		`plans/0: the id "../../x"`:           func(w *workshopfile.Workshop) { w.Plans[0].ID = "../../x" },
		`plans/0: the id "a/b"`:               func(w *workshopfile.Workshop) { w.Plans[0].ID = "a/b" },
		`plans/0: the id ""`:                  func(w *workshopfile.Workshop) { w.Plans[0].ID = "" },
		`"garbage" is not a moment`:           func(w *workshopfile.Workshop) { w.Plans[0].Changed = "garbage" },
		"cloths/0: id is 9223372036854775807": func(w *workshopfile.Workshop) { w.Cloths[0].ID = 1<<63 - 1 },
		"cloths/0: id is 0":                   func(w *workshopfile.Workshop) { w.Cloths[0].ID = 0 },
		"cloths/0: it needs a name":           func(w *workshopfile.Workshop) { w.Cloths[0].Name = "" },
		"samples/0: the id":                   func(w *workshopfile.Workshop) { w.Samples[0].ID = "Up" },
		"log/0: minutes is -9":                func(w *workshopfile.Workshop) { w.Log[0].Minutes = -9 },
		"practice/0: hit is 4":                func(w *workshopfile.Workshop) { w.Practice[0].Hit = 4 },
		"notes have more than":                func(w *workshopfile.Workshop) { w.Log[0].Notes = strings.Repeat("a", 40_000) },
	} {
		w := good()
		change(&w)
		data, err := workshopfile.Write(w)
		require.NoError(t, err)
		_, err = workshopfile.Read(data)
		if says == "" {
			require.NoError(t, err)
			continue
		}
		assert.ErrorContains(t, err, says)
	}
}

// A small file that unpacks to a large one is refused by what it says of itself, before it is unpacked.
func TestWhatUnpacksToTooMuchIsRefused(t *testing.T) {
	files := map[string]string{"workshop.json": `{"format":"umschlag/workshop/2"}`}
	nought := string(make([]byte, 15<<20))
	for i := range 18 {
		files[fmt.Sprintf("photos/%d.jpg", i+1)] = nought
	}
	data := zipped(t, files)
	require.Less(t, len(data), 1<<20)
	_, err := workshopfile.Read(data)
	assert.ErrorContains(t, err, "makes more than 256 MB")
}

// Whatever a file holds, it is read or refused.
func FuzzRead(f *testing.F) {
	f.Add(zipped(f, map[string]string{"workshop.json": `{"format":"umschlag/workshop/1"}`, "photos/1.jpg": "x"}))
	f.Fuzz(func(t *testing.T, data []byte) {
		if w, err := workshopfile.Read(data); err == nil {
			assert.Contains(t, []string{workshopfile.Format, workshopfile.FormatOne}, w.Format)
		}
	})
}
