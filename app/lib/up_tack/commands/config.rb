# frozen_string_literal: true

module UpTack
  module Commands
    # Lists what is set from the environment, and says what of it is wrong:
    #
    #   uptack config
    #   PORT             4567       (usual)  The port at which it listens.
    class Config < Command
      # @return [Integer]
      def call
        environment = Environment.new
        problems = environment.problems
        settings = environment.all
        answer(problems.any? ? 1 : 0, {settings: settings.map(&:to_h), problems: problems}) do
          widths = [settings.map { |each| each.name.length }.max, settings.map { |each| each.value.length }.max]
          settings.each { |each| @out.puts line(each, *widths) }
          problems.each { |problem| @out.puts problem }
        end
      end

      private

      def line(setting, names, values)
        from = Core::Messages[setting.set ? "commands.config.set" : "commands.config.usual"]
        "#{setting.name.ljust(names)}  #{setting.value.ljust(values)}  #{from.ljust(7)}  #{setting.description}"
      end
    end
  end
end
