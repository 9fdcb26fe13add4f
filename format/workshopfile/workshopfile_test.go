package workshopfile_test

import (
	"archive/zip"
	"bytes"
	"encoding/json"
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
				workshopfile.Plan{ID: text.Draw(t, "id"), Doc: doc.Draw(t, "plan"), Away: rapid.Bool().Draw(t, "away")})
			w.Cloths = append(w.Cloths,
				workshopfile.Named{ID: i, Name: text.Draw(t, "name"), Doc: doc.Draw(t, "cloth")})
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

// Whatever a file holds, it is read or refused.
func FuzzRead(f *testing.F) {
	f.Add(zipped(f, map[string]string{"workshop.json": `{"format":"umschlag/workshop/1"}`, "photos/1.jpg": "x"}))
	f.Fuzz(func(t *testing.T, data []byte) {
		if w, err := workshopfile.Read(data); err == nil {
			assert.Contains(t, []string{workshopfile.Format, workshopfile.FormatOne}, w.Format)
		}
	})
}
