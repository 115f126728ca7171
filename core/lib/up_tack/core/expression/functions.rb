# frozen_string_literal: true

module UpTack
  module Core
    module Expression
      # The registry of functions. It feeds the checker, the compiler, the
      # editor's completion, the help and the spec of the examples. A new
      # function is one entry in the file of its group.
      module Functions
        # @return [Hash{String=>Function}] by name, in the order of the help
        def self.all
          @all ||= [TextFunctions, NumberFunctions, DateFunctions, LogicFunctions]
            .flat_map(&:all).to_h { |function| [function.name, function] }.freeze
        end

        # @return [Function, nil]
        def self.[](name) = all[name]
      end
    end
  end
end
