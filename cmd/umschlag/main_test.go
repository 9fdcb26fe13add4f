package main

import (
	"bytes"
	"context"
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/store"
)

// execute runs a command and gives its output and exit code.
func execute(t *testing.T, stdin string, args ...string) (out string, err error) {
	t.Helper()
	cmd := root()
	var b bytes.Buffer
	cmd.SetOut(&b)
	cmd.SetErr(&b)
	cmd.SetIn(strings.NewReader(stdin))
	cmd.SetArgs(args)
	err = cmd.ExecuteContext(t.Context())
	return b.String(), err
}

func TestReckonPrintsTheReckoning(t *testing.T) {
	files, err := filepath.Glob("../../demo/*.json")
	require.NoError(t, err)
	for _, f := range files {
		out, err := execute(t, "", "reckon", f)
		require.NoError(t, err, f)
		var r answer.Reckoning
		require.NoError(t, json.Unmarshal([]byte(out), &r))
		assert.NotEmpty(t, r.Cuts)
	}
}

func TestReckonCodes(t *testing.T) {
	data, err := os.ReadFile("../../demo/reading-corner-cushion.json")
	require.NoError(t, err)
	stopped := strings.Replace(string(data), `"overlap": "5"`, `"overlap": "25"`, 1)
	out, err := execute(t, stopped, "reckon", "-")
	var coded *codeError
	require.ErrorAs(t, err, &coded)
	assert.Equal(t, 2, coded.code)
	assert.Contains(t, out, "overlap-too-large", "the findings are printed all the same")

	for _, in := range []string{"{", `{"format": "umschlag/plan/1", "x": 1}`, strings.Repeat(" ", 2<<20)} {
		_, err := execute(t, in, "reckon", "-")
		require.Error(t, err)
		assert.NotErrorAs(t, err, &coded)
		assert.NotContains(t, err.Error(), "\n", "one line")
	}
	_, err = execute(t, "", "reckon", "nothing.json")
	assert.Error(t, err)
}

func TestReckoningStopsWhenItIsAskedTo(t *testing.T) {
	ctx, stop := context.WithCancel(t.Context())
	started, end := make(chan struct{}), make(chan struct{})
	defer close(end)
	go func() { <-started; stop() }()
	_, err := unless(ctx, func() (int, error) { close(started); <-end; return 1, nil })
	require.ErrorIs(t, err, context.Canceled)
	n, err := unless(t.Context(), func() (int, error) { return 2, nil })
	require.NoError(t, err)
	assert.Equal(t, 2, n)
}

func TestBackup(t *testing.T) {
	dir := t.TempDir()
	_, err := execute(t, "", "backup", filepath.Join(dir, "copy.db"), "--data", dir)
	require.ErrorContains(t, err, "there is no database to copy")
	s, err := store.Open(t.Context(), dir, time.Now)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	_, err = execute(t, "", "backup", filepath.Join(dir, "copy.db"), "--data", dir)
	require.NoError(t, err)
	assert.FileExists(t, filepath.Join(dir, "copy.db"))

	out, err := execute(t, "", "restore", filepath.Join(dir, "copy.db"), "--data", dir)
	require.NoError(t, err)
	kept := strings.TrimSpace(strings.TrimPrefix(out, "What was there before is kept as "))
	assert.FileExists(t, kept)
	other := filepath.Join(t.TempDir(), "another")
	out, err = execute(t, "", "restore", filepath.Join(dir, "copy.db"), "--data", other)
	require.NoError(t, err, "into a directory that is made for it")
	assert.Empty(t, out)
	s, err = store.Open(t.Context(), other, time.Now)
	require.NoError(t, err)
	_, err = execute(t, "", "serve", "--data", other, "--listen", "127.0.0.1:0")
	require.ErrorContains(t, err, "another server has this directory open")
	_, err = execute(t, "", "restore", kept, "--data", other)
	require.ErrorContains(t, err, "another server has this directory open")
	require.NoError(t, s.Close())
}

func TestServeRefusesAnOpenAddressWithoutAKey(t *testing.T) {
	_, err := execute(t, "", "serve", "--data", t.TempDir(), "--listen", "0.0.0.0:0")
	require.ErrorContains(t, err, "access key")
	file := filepath.Join(t.TempDir(), "key")
	require.NoError(t, os.WriteFile(file, []byte("short\n"), 0o600))
	_, err = execute(t, "", "serve", "--data", t.TempDir(), "--access-key-file", file)
	require.ErrorContains(t, err, "too short")
	_, err = execute(t, "", "serve", "--data", t.TempDir(), "--access-key-file", file+"x")
	require.ErrorContains(t, err, "read the access key")
	_, err = execute(t, "", "serve")
	require.ErrorContains(t, err, "data")
}
