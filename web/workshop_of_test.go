package web_test

import (
	"context"
	"fmt"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"umschlag/demo"
	"umschlag/store"
)

// filled is a directory with the demo data, made once: filling one takes longer than most tests.
var filled string

func TestMain(m *testing.M) {
	os.Exit(func() int {
		dir, err := os.MkdirTemp("", "umschlag-web-")
		if err == nil {
			defer func() { _ = os.RemoveAll(dir) }()
			filled, err = dir, fill(dir)
		}
		if err != nil {
			fmt.Fprintln(os.Stderr, err)
			return 1
		}
		return m.Run()
	}())
}

func fill(dir string) error {
	s, err := store.Open(context.Background(), dir, time.Now)
	if err != nil {
		return err
	}
	if err := demo.Fill(context.Background(), s); err != nil {
		return err
	}
	return s.Close()
}

// workshop is a store of its own with the demo data.
func workshop(t testing.TB) *store.Store {
	t.Helper()
	dir := filepath.Join(t.TempDir(), "data")
	require.NoError(t, os.CopyFS(dir, os.DirFS(filled)))
	s, err := store.Open(t.Context(), dir, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s
}
