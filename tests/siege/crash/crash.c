/*
 * Ends a program at its n-th write, truncation, rename, link, removal or sync in a folder, as a kill does; or as a power cut does, which
 * takes with it whatever was written and not yet synced; or makes syncs as slow as on a tired disk, or fail while a file called
 * "disk-fails" lies in the folder. Loaded before everything else (LD_PRELOAD); where and how is told by CRASH_*.
 */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <pthread.h>
#include <signal.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/stat.h>
#include <sys/types.h>
#include <unistd.h>

/* What a file held before it was written to, and how long it was: taken back if the power is cut before it is synced. */
struct undo { char path[512]; off_t at; size_t bytes; char *before; off_t length; struct undo *earlier; };
static struct undo *undos;
/* Syncs come from threads of their own. */
static pthread_mutex_t mine = PTHREAD_MUTEX_INITIALIZER;

static long count, at = -1;
static const char *folder;
static int torn, loses, slow_ms;

static void ready(void) {
  if (at >= 0) return;
  const char *n = getenv("CRASH_AT");
  at = n ? atol(n) : 0;
  folder = getenv("CRASH_IN");
  torn = getenv("CRASH_TORN") != NULL;
  loses = getenv("CRASH_LOSES") != NULL;
  const char *ms = getenv("CRASH_SLOW_MS");
  slow_ms = ms ? atoi(ms) : 0;
}

#define REAL(name, ...) static __typeof__(&name) real; if (!real) real = (__typeof__(&name))dlsym(RTLD_NEXT, #name)

static int pathOf(int fd, char *path, size_t most) {
  char link[64];
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t n = readlink(link, path, most - 1);
  if (n < 0) return 0;
  path[n] = 0;
  return 1;
}

static int isOurs(const char *path) {
  ready();
  return folder && path && strncmp(path, folder, strlen(folder)) == 0;
}

static void take_back(void) {
  for (struct undo *one = undos; one; one = one->earlier) {
    int fd = one->path[0] ? open(one->path, O_RDWR) : -1;
    if (fd < 0) continue;
    static ssize_t (*write_at)(int, const void *, size_t, off_t);
    if (!write_at) write_at = (ssize_t (*)(int, const void *, size_t, off_t))dlsym(RTLD_NEXT, "pwrite64");
    static int (*cut)(int, off_t);
    if (!cut) cut = (int (*)(int, off_t))dlsym(RTLD_NEXT, "ftruncate64");
    if (one->bytes) write_at(fd, one->before, one->bytes, one->at);
    cut(fd, one->length);
    close(fd);
  }
}

/* Whether this is the call to end at; ends there. */
static int due(void) { return at > 0 && __atomic_add_fetch(&count, 1, __ATOMIC_SEQ_CST) == at; }
static void end(void) {
  pthread_mutex_lock(&mine);
  if (loses) take_back();
  kill(getpid(), SIGKILL);
  for (;;) pause();
}

static void remember(int fd, const char *path, off_t from, size_t bytes) {
  struct stat now;
  if (!loses || fstat(fd, &now) != 0) return;
  struct undo *one = calloc(1, sizeof *one);
  snprintf(one->path, sizeof one->path, "%s", path);
  one->length = now.st_size;
  one->at = from;
  if (from < now.st_size) {
    one->bytes = from + (off_t)bytes <= now.st_size ? bytes : (size_t)(now.st_size - from);
    one->before = malloc(one->bytes);
    int reader = open(path, O_RDONLY);
    if (reader >= 0) { one->bytes = pread(reader, one->before, one->bytes, from); close(reader); }
  }
  pthread_mutex_lock(&mine);
  one->earlier = undos;
  undos = one;
  pthread_mutex_unlock(&mine);
}

static struct undo *latest(void) {
  pthread_mutex_lock(&mine);
  struct undo *one = undos;
  pthread_mutex_unlock(&mine);
  return one;
}

/* Forgets what was written to a file, up to a write: what came after it, while it was being synced, may be lost yet. */
static void forget(const char *path, struct undo *last) {
  pthread_mutex_lock(&mine);
  int is_past = 0;
  for (struct undo **one = &undos; *one;) {
    if (*one == last) is_past = 1;
    /* What is forgotten stays in its place, without a path: another thread may have marked it as its last. */
    if (is_past && strcmp((*one)->path, path) == 0) (*one)->path[0] = 0;
    one = &(*one)->earlier;
  }
  pthread_mutex_unlock(&mine);
}

/* A file that is renamed keeps what is not synced of it. */
static void renamed(const char *from, const char *to) {
  forget(to, latest());
  pthread_mutex_lock(&mine);
  for (struct undo *one = undos; one; one = one->earlier)
    if (strcmp(one->path, from) == 0) snprintf(one->path, sizeof one->path, "%s", to);
  pthread_mutex_unlock(&mine);
}

static ssize_t written(int fd, const void *data, size_t bytes, off_t from, ssize_t (*real)(int, const void *, size_t, off_t)) {
  char path[512];
  if (pathOf(fd, path, sizeof path) && isOurs(path)) {
    remember(fd, path, from, bytes);
    if (due()) {
      if (torn && bytes > 1) real(fd, data, bytes / 2, from);
      end();
    }
  }
  return real(fd, data, bytes, from);
}

ssize_t pwrite64(int fd, const void *data, size_t bytes, off_t from) { REAL(pwrite64); return written(fd, data, bytes, from, real); }
ssize_t pwrite(int fd, const void *data, size_t bytes, off_t from) { REAL(pwrite); return written(fd, data, bytes, from, real); }

ssize_t write(int fd, const void *data, size_t bytes) {
  REAL(write);
  char path[512];
  if (fd > 2 && pathOf(fd, path, sizeof path) && isOurs(path)) {
    remember(fd, path, lseek(fd, 0, SEEK_CUR), bytes);
    if (due()) end();
  }
  return real(fd, data, bytes);
}

ssize_t copy_file_range(int in, off64_t *inAt, int out, off64_t *outAt, size_t bytes, unsigned flags) {
  REAL(copy_file_range);
  char path[512];
  if (pathOf(out, path, sizeof path) && isOurs(path)) {
    remember(out, path, outAt ? *outAt : lseek(out, 0, SEEK_CUR), bytes);
    if (due()) end();
  }
  return real(in, inAt, out, outAt, bytes, flags);
}

static void at_file(int fd) {
  char path[512];
  if (pathOf(fd, path, sizeof path) && isOurs(path) && due()) end();
}
static void at_path(const char *path) { if (isOurs(path) && due()) end(); }

int ftruncate64(int fd, off_t length) {
  REAL(ftruncate64);
  char path[512];
  if (pathOf(fd, path, sizeof path) && isOurs(path)) {
    struct stat now;
    if (fstat(fd, &now) == 0 && length < now.st_size) remember(fd, path, length, now.st_size - length);
    if (due()) end();
  }
  return real(fd, length);
}
int ftruncate(int fd, off_t length) { return ftruncate64(fd, length); }

static int synced(int fd, int (*real)(int)) {
  at_file(fd);
  struct undo *last = latest();
  char path[512];
  int ours = pathOf(fd, path, sizeof path) && isOurs(path);
  if (slow_ms && ours) usleep(slow_ms * 1000);
  char fails[600];
  snprintf(fails, sizeof fails, "%s/disk-fails", folder ? folder : "");
  if (ours && access(fails, F_OK) == 0) { errno = EIO; return -1; }
  int done = real(fd);
  if (done == 0 && loses && pathOf(fd, path, sizeof path)) forget(path, last);
  return done;
}
int fsync(int fd) { REAL(fsync); return synced(fd, real); }
int fdatasync(int fd) { REAL(fdatasync); return synced(fd, real); }
int rename(const char *from, const char *to) { REAL(rename); at_path(to); int done = real(from, to); if (done == 0) renamed(from, to); return done; }
int unlink(const char *path) { REAL(unlink); at_path(path); int done = real(path); if (done == 0) forget(path, latest()); return done; }
int link(const char *from, const char *to) { REAL(link); at_path(to); return real(from, to); }

/* How many calls there were, for whoever counts them first. */
__attribute__((destructor)) static void told(void) {
  const char *file = getenv("CRASH_COUNT");
  if (!file) return;
  FILE *to = fopen(file, "w");
  if (to) { fprintf(to, "%ld\n", count); fclose(to); }
}
