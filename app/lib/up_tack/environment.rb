# frozen_string_literal: true

require "etc"
require "ipaddr"

module UpTack
  # What is set from outside when the program starts: every variable that it reads, with what it is for, what it is
  # when nobody sets it, and what is wrong with what somebody has set.
  class Environment
    # name:: of the variable; usual:: its value where it is not set; secret:: whether its value is shown to nobody
    # check:: gives the key of what is wrong with a text, nil where nothing is
    Setting = Struct.new(:name, :usual, :secret, :check, keyword_init: true) do
      # @return [String] a sentence
      def what = Core::Messages["environment.what.#{name.downcase}"]
    end
    # A setting as it is: value:: as it is shown; set:: whether somebody has set it
    Shown = Struct.new(:name, :value, :set, :what, keyword_init: true)

    LOOPBACK = %w[127.0.0.1 localhost ::1].freeze
    # Processes at most that answer.
    MOST = 64
    SHORTEST_TOKEN = 16

    list = ->(text) { text.split(",").map(&:strip).reject(&:empty?) }
    networks = ->(text) do
      list.call(text).each { |each| IPAddr.new(each) }
      nil
    rescue IPAddr::Error
      "networks"
    end
    between = ->(range) { ->(text) { "number" unless text.match?(/\A\d{1,5}\z/) && range.cover?(text.to_i) } }
    one_of = ->(*texts) { ->(text) { "one_of" unless texts.include?(text) } }

    SETTINGS = [
      Setting.new(name: "HOST", usual: "127.0.0.1"),
      Setting.new(name: "PORT", usual: "4567", check: between.call(1..65_535)),
      Setting.new(name: "WEB_CONCURRENCY", usual: Etc.nprocessors.to_s, check: between.call(0..MOST)),
      Setting.new(name: "UP_TACK_DATA", usual: "data"),
      Setting.new(name: "UP_TACK_BACKUPS", usual: ""),
      Setting.new(name: "UP_TACK_HOSTS", usual: ""),
      Setting.new(name: "UP_TACK_PROXIES", usual: "", check: networks),
      Setting.new(name: "UP_TACK_PATH", usual: "", check: ->(text) { "path" unless text.match?(%r{\A(/[\w.~-]+)*\z}) }),
      Setting.new(name: "UP_TACK_KEY", usual: "", secret: true,
        check: ->(text) { "short" unless text.empty? || text.length >= Store::LogKey::SHORTEST }),
      Setting.new(name: "UP_TACK_METRICS", usual: "", secret: true,
        check: ->(text) { "short" unless text.empty? || text.length >= SHORTEST_TOKEN }),
      Setting.new(name: "UP_TACK_LOG", usual: "text", check: one_of.call("text", "json")),
      Setting.new(name: "UP_TACK_LOG_LEVEL", usual: "warn", check: one_of.call(*Log::LEVELS))
    ].freeze
    # What a problem tells besides the name and the value.
    PARTS = {
      "PORT" => {least: 1, most: 65_535}, "WEB_CONCURRENCY" => {least: 0, most: MOST},
      "UP_TACK_LOG" => {words: "text, json"}, "UP_TACK_LOG_LEVEL" => {words: Log::LEVELS.join(", ")},
      "UP_TACK_KEY" => {least: Store::LogKey::SHORTEST}, "UP_TACK_METRICS" => {least: SHORTEST_TOKEN}
    }.freeze

    # @param env [Hash{String=>String}]
    def initialize(env = ENV)
      @env = env
    end

    # @param name [String]
    # @return [String]
    def [](name) = set?(name) ? @env[name].to_s : SETTINGS.find { |each| each.name == name }.usual

    # @return [Array<String>] what is wrong, a sentence each
    def problems = [*SETTINGS.filter_map { |setting| problem(setting) }, *unnamed]

    # @return [Array<Shown>]
    def all
      SETTINGS.map do |setting|
        value = self[setting.name]
        value = Core::Messages["environment.is_secret"] if setting.secret && !value.empty?
        Shown.new(name: setting.name, value: value, set: set?(setting.name), what: setting.what)
      end
    end

    def host = self["HOST"]
    def port = self["PORT"].to_i

    # @return [Integer] processes that answer; 0 where one answers and does everything else, too
    def processes = self["WEB_CONCURRENCY"].to_i.then { |count| (count > 1) ? count : 0 }

    # @return [String] the folder of the database
    def folder = File.expand_path(self["UP_TACK_DATA"], beside("UP_TACK_DATA"))

    # @return [String, nil] the folder on another disk to which backups are copied
    def second_folder
      self["UP_TACK_BACKUPS"].then { |text| text.empty? ? nil : File.expand_path(text, caller_folder) }
    end

    # @return [Boolean] whether other machines reach it
    def open? = !LOOPBACK.include?(host)

    # @return [Array<String>] names under which they do
    def hosts = self["UP_TACK_HOSTS"].split(",").map(&:strip).reject(&:empty?)

    # @return [String] where the application begins: "" or a path such as "/tack"
    def path = self["UP_TACK_PATH"]

    private

    def set?(name) = !@env[name].to_s.empty?
    def beside(name) = set?(name) ? caller_folder : Installation::ROOT
    def caller_folder = @env.fetch("UP_TACK_CALLER_DIR", Dir.pwd)

    def problem(setting)
      text = self[setting.name]
      key = setting.check&.call(text) or return
      Core::Messages[
        "environment.wrong.#{key}", name: setting.name, given: setting.secret ? "" : text, **PARTS[setting.name].to_h
      ]
    end

    def unnamed
      (open? && hosts.empty?) ? [Core::Messages["environment.wrong.unnamed", host: host]] : []
    end
  end
end
