version https://git-lfs.github.com/spec/v1
oid sha256:ce58952252a75315e0d1d65567a0ef00fc3b6176f26cdd04de1f6ff822af47b2
size 7674655
