# frozen_string_literal: true

module UpTack
  module Store
    # The names of people that rules wrote into records.
    module StampedNames
      module_function

      # @param names [Array<String>] what somebody was called
      # @param other [String] what stands in their place from now on
      # @return [void]
      def replace_all(names, other)
        # The longest first, since one may stand within another.
        names.sort_by { |name| -name.length }.each { |name| replace(name, other) unless name == other }
      end

      # @param name [String] what somebody was called
      # @param other [String] what stands in its place from now on
      # @return [void]
      def replace(name, other)
        return unless Revision.exists?

        CompiledDesign.current.project.tables.each do |table|
          table.fields.select(&:person).each do |field|
            table_name, column = [table.key, field.key].map { |each| connection.quote_table_name(each) }
            connection.execute("UPDATE #{table_name} SET #{column} = " \
              "replace(#{column}, #{connection.quote(name)}, #{connection.quote(other)}) WHERE " \
              "instr(#{column}, #{connection.quote(name)})")
          end
        end
        connection.execute("UPDATE up_tack_ignored SET person_name = #{connection.quote(other)} WHERE person_name " \
          "= #{connection.quote(name)}")
      end

      def connection = Database.connection
    end
  end
end
