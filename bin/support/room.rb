# frozen_string_literal: true

require "rbconfig"

# Ruby is given more room before it collects what is no longer needed: many records in one go
# leave many short-lived objects behind. And it compiles what it does often, where it was built
# with its compiler (YJIT). Both can be set only before it starts, so the same command is run
# once more with them. Whoever sets any of it by hand is left alone.
ROOM = {
  "RUBY_GC_HEAP_INIT_SLOTS" => "700000", "RUBY_GC_HEAP_FREE_SLOTS" => "300000",
  "RUBY_GC_MALLOC_LIMIT" => "33554432", "RUBY_GC_MALLOC_LIMIT_MAX" => "33554432", "RUBY_GC_OLDMALLOC_LIMIT" => "33554432"
}.freeze
# In megabytes; what is beyond them goes on as it is.
COMPILED = defined?(CODE) ? CODE : 16
COMPILING = defined?(RubyVM::YJIT) ? ["--yjit", "--yjit-exec-mem-size=#{COMPILED}"].freeze : [].freeze
exec(ROOM, RbConfig.ruby, *COMPILING, $PROGRAM_NAME, *ARGV) if ROOM.none? { |name, _| ENV.key?(name) }
